import { createHash, randomBytes } from "node:crypto";
import { hash, verify } from "@node-rs/argon2";

/** Argon2id with 19 MiB and two rounds: the least that OWASP's “Password Storage” sheet asks for. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

/** What is kept of a password or PIN. */
export const hashSecret = (secret: string): Promise<string> => hash(secret, COST);

/** Of nobody: whoever asks about a name that is not there waits as long as for one that is. */
let ofNobody: Promise<string> | undefined;

/** Whether a secret is the one that was kept; takes as long where none was. */
export async function isSecret(kept: string | null, secret: string): Promise<boolean> {
  const right = await verify(kept ?? (await (ofNobody ??= hashSecret(newToken()))), secret);
  return kept !== null && right;
}

/** What a device keeps to be known again: 256 random bits. */
export const newToken = (): string => randomBytes(32).toString("base64url");

/** What is kept of a token: the table alone lets nobody in. */
export const hashToken = (token: string): string => createHash("sha256").update(token).digest("base64url");
