import { startMariadb } from "./mariadb.mjs";
import { Trouble, say } from "./say.mjs";
import { isAlive } from "./shell.mjs";

const LOOK_EVERY_MS = 500;
/** A database that ends by itself more often than this within an hour will not stay. */
const MOST_AN_HOUR = 5;
const HOUR_MS = 3_600_000;

/**
 * Starts the database again whenever it ends by itself, with the port and password it had: the application finds it as
 * before, and the devices send what they kept meanwhile.
 *
 * @param restarted hears of each database started anew
 * @param givenUp hears why, when it does not start or does not stay
 * @returns now(), the database that runs now, and rest(), after which it may end
 */
export function keepDatabase(folder, first, { restarted, givenUp }) {
  let mariadb = first;
  let resting = false;
  const ends = [];
  const again = async () => {
    const now = Date.now();
    ends.push(now);
    if (ends.filter(at => now - at < HOUR_MS).length > MOST_AN_HOUR)
      throw new Trouble(
        "The database ends by itself again and again.",
        `Its log is mariadb.log in ${folder}; too little memory is the usual reason.`,
      );
    say.step("The database ended by itself. Starting it again …");
    mariadb = await startMariadb(folder);
    restarted(mariadb);
    say.step("The database is back.");
  };
  const watching = (async () => {
    while (!resting) {
      if (!isAlive(mariadb.pid)) await again();
      await new Promise(done => setTimeout(done, LOOK_EVERY_MS));
    }
  })().catch(givenUp);
  return {
    now: () => mariadb,
    /** Waits for a start that is under way. */
    rest: () => {
      resting = true;
      return watching;
    },
  };
}
