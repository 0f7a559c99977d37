import { Form, type FormProps } from "react-router";
import { useMay } from "./use-may";

/** A form that changes the kitchen. Who may not change it reads what stands there; nothing in it can be pressed. */
export function EditForm({
  children,
  ...form
}: Omit<FormProps, "method" | "children"> & { children: React.ReactNode }) {
  const mayEdit = useMay("edit");
  return (
    <Form method="post" {...form}>
      {mayEdit ? (
        children
      ) : (
        <>
          <fieldset disabled className="contents">
            {children}
          </fieldset>
          <p className="col-span-full mt-2 text-sm text-faded">To look at: a cook or the chef changes it.</p>
        </>
      )}
    </Form>
  );
}
