import { type QRCode, create } from "qrcode";

/** So many signs of a checksum tell one card from another. */
const SIGNS = 12;

/** Where the code on a card leads: to this application’s own page of that card, which says whether it still holds. */
export const addressOf = (
  origin: string,
  version: { readonly versionId: string; readonly checksum: string },
): string => `${origin}/book/${version.versionId}?printed=${version.checksum.slice(0, SIGNS)}`;

export const qrOf = (
  origin: string,
  version: { readonly versionId: string; readonly checksum: string },
): QRCode => create(addressOf(origin, version), { errorCorrectionLevel: "M" });

export interface Code {
  /** Modules to a side. */
  readonly size: number;
  /** The dark modules, as the `d` of a path with a module to a unit. */
  readonly path: string;
}

/** A code as one path: drawn the same on a screen and on paper. */
export function codeOf({ modules }: QRCode): Code {
  const parts: string[] = [];
  for (let y = 0; y < modules.size; y++)
    for (let x = 0; x < modules.size; x++) if (modules.get(y, x)) parts.push(`M${x} ${y}h1v1h-1z`);
  return { size: modules.size, path: parts.join("") };
}
