/** Letters and digits of a name: “Noor Adeyi” signs in as “noor.adeyi”. */
export const loginOf = (name: string): string =>
  name
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ".")
    .replace(/^\.+|\.+$/g, "")
    .slice(0, 60);
