import { webcrypto } from "node:crypto";
import { existsSync, readFileSync } from "node:fs";
import { isIP } from "node:net";
import { join } from "node:path";
import { parseArgs } from "node:util";
import { makeFolder } from "./mariadb.mjs";
import { ownNames } from "./names.mjs";
import { ensurePackages } from "./packages.mjs";
import { dataFolder } from "./paths.mjs";
import { Trouble, say } from "./say.mjs";
import { writeWhole } from "./whole-file.mjs";

const ALGORITHM = { name: "ECDSA", namedCurve: "P-256", hash: "SHA-256" };
const DAY_MS = 24 * 3600 * 1000;
/** Browsers on telephones take no certificate of a server that lasts longer than 825 days. */
const SERVER_DAYS = 800;
const AUTHORITY_DAYS = 3650;

/**
 * Makes an authority for this kitchen alone, once, and a certificate of this machine signed by it. The authority’s key
 * stays beside the data, readable by its owner only.
 */
export async function run(args) {
  let values;
  try {
    ({ values } = parseArgs({
      args,
      options: { data: { type: "string" }, name: { type: "string", multiple: true } },
    }));
  } catch (error) {
    throw new Trouble(error.message, "./hondaro help shows the options.");
  }
  await ensurePackages();
  await import("reflect-metadata");
  const x509 = await import("@peculiar/x509");
  x509.cryptoProvider.set(webcrypto);
  const folder = join(dataFolder(values.data), "tls");
  makeFolder(dataFolder(values.data));
  makeFolder(folder);
  const authority = await authorityIn(folder, x509);
  const names = [...new Set([...(values.name ?? []), ...ownNames()])];
  const keys = await webcrypto.subtle.generateKey(ALGORITHM, true, ["sign", "verify"]);
  const now = Date.now();
  const certificate = await x509.X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: `CN=${names[0]}`,
    issuer: authority.certificate.subject,
    notBefore: new Date(now - DAY_MS),
    notAfter: new Date(now + SERVER_DAYS * DAY_MS),
    signingAlgorithm: ALGORITHM,
    publicKey: keys.publicKey,
    signingKey: authority.key,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension(["1.3.6.1.5.5.7.3.1"]),
      new x509.SubjectAlternativeNameExtension(
        names.map(name => ({ type: isIP(name) ? "ip" : "dns", value: name })),
      ),
    ],
  });
  const pem = await webcrypto.subtle.exportKey("pkcs8", keys.privateKey);
  writeWhole(join(folder, "key.pem"), x509.PemConverter.encode(pem, "PRIVATE KEY"));
  writeWhole(join(folder, "cert.pem"), certificate.toString("pem"), 0o644);
  say.line(`A certificate for ${names.join(", ")}, good for ${SERVER_DAYS} days.

  Serve with it:   ./hondaro start --host 0.0.0.0 --cert ${join(folder, "cert.pem")} --key ${join(folder, "key.pem")}

Every device has to trust this kitchen’s authority once. Bring it the file

  ${join(folder, "authority.pem")}

and there: on a tablet or phone open the file, install it as a certificate (of an authority), and switch trust on for it in
the settings; in a browser on a computer: settings, certificates, authorities, import. Nobody else’s sites become trusted
by it as long as ${join(folder, "authority-key.pem")} stays on this machine.`);
  return 0;
}

/** A serial number of 16 random octets, the first of them positive. */
const serial = () => {
  const octets = webcrypto.getRandomValues(new Uint8Array(16));
  octets[0] = (octets[0] & 0x3f) | 0x40;
  return Buffer.from(octets).toString("hex");
};

/** The authority of this kitchen, made the first time. */
async function authorityIn(folder, x509) {
  const [pemFile, keyFile] = [join(folder, "authority.pem"), join(folder, "authority-key.pem")];
  if (existsSync(pemFile) && existsSync(keyFile)) {
    const [pkcs8] = x509.PemConverter.decode(readFileSync(keyFile, "utf8"));
    return {
      certificate: new x509.X509Certificate(readFileSync(pemFile, "utf8")),
      key: await webcrypto.subtle.importKey("pkcs8", pkcs8, ALGORITHM, false, ["sign"]),
    };
  }
  const keys = await webcrypto.subtle.generateKey(ALGORITHM, true, ["sign", "verify"]);
  const now = Date.now();
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: "CN=This kitchen’s authority (Hondaro)",
    notBefore: new Date(now - DAY_MS),
    notAfter: new Date(now + AUTHORITY_DAYS * DAY_MS),
    signingAlgorithm: ALGORITHM,
    keys,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
    ],
  });
  const pem = await webcrypto.subtle.exportKey("pkcs8", keys.privateKey);
  writeWhole(keyFile, x509.PemConverter.encode(pem, "PRIVATE KEY"));
  writeWhole(pemFile, certificate.toString("pem"), 0o644);
  return { certificate, key: keys.privateKey };
}
