import { type Problem } from "~/core/ground/result";

/** Long beats odd: NIST SP 800-63B asks for length, not for signs. From memory. */
export const LEAST_PASSWORD = 8;
export const MOST_PASSWORD = 200;

/** What is wrong with a new password; nothing where it will do. */
export function passwordProblems(
  password: string,
  of: { readonly login: string; readonly name: string },
): readonly Problem[] {
  const said = (message: string): readonly Problem[] => [
    { code: "OUT_OF_RANGE", field: "password", message },
  ];
  if (password.length < LEAST_PASSWORD)
    return said(`A password has at least ${LEAST_PASSWORD} signs; three words in a row are a good one.`);
  if (password.length > MOST_PASSWORD) return said(`A password has at most ${MOST_PASSWORD} signs.`);
  const plain = password.toLowerCase();
  if (
    plain === of.login ||
    plain === of.name.toLowerCase() ||
    /^(.)\1*$/.test(plain) ||
    "0123456789012345".includes(plain)
  )
    return said("That is the first thing anybody would try. Take another.");
  return [];
}

/** What is wrong with a new PIN. */
export function pinProblems(pin: string): readonly Problem[] {
  const said = (message: string): readonly Problem[] => [{ code: "OUT_OF_RANGE", field: "pin", message }];
  if (!/^\d{4,8}$/.test(pin)) return said("A PIN has four to eight digits.");
  if (/^(\d)\1*$/.test(pin) || "01234567890".includes(pin) || "09876543210".includes(pin))
    return said("That is the first PIN anybody would try. Take another.");
  return [];
}
