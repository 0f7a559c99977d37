/** Saving on the Bench speaks for itself: nothing that a page has read need be read again for it. */
export const shouldRevalidate = ({
  formEncType,
  defaultShouldRevalidate,
}: {
  formEncType?: string;
  defaultShouldRevalidate: boolean;
}) => (formEncType === "application/json" ? false : defaultShouldRevalidate);
