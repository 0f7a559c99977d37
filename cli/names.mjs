import { hostname, networkInterfaces } from "node:os";

/** What this machine is called by others and by itself: its name, and its addresses. */
export function ownNames() {
  const addresses = Object.values(networkInterfaces())
    .flat()
    .filter(address => address && !address.address.startsWith("fe80"))
    .map(({ address }) => address);
  const name = hostname().toLowerCase();
  return [...new Set([name, `${name.split(".")[0]}.local`, "localhost", ...addresses])];
}
