import { randomBytes } from "node:crypto";
import { accountByLogin, hashSecret, openDatabase, setSecret } from "../data";

/** Gives somebody a new password, and says it once. */
const [login = ""] = process.argv.slice(2);
const { db, close } = openDatabase(process.env.DATABASE_URL ?? "");
const account = await accountByLogin(db, login.toLowerCase());
if (!account) {
  console.error(`Nobody signs in as “${login}”.`);
  process.exitCode = 1;
} else {
  const password = randomBytes(9).toString("base64url");
  const { kitchenId, person } = account;
  const change = { kitchenId, personId: person.id, now: new Date() };
  await setSecret(db, change, person.id, { passwordHash: await hashSecret(password) });
  console.log(`${person.name} signs in as “${person.login}” with the password “${password}”.`);
}
await close();
