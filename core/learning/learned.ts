import { grouped } from "../ground/grouped";
import type { KitchenData } from "../formula";
import { followed } from "./follows";
import { GROUP_IDS, type GroupId } from "./groups";
import { type Standing, standingOf } from "./marks";
import { proposals } from "./proposed";
import { type Learned, type Readings, markKey } from "./readings";

/**
 * Everything a kitchen’s readings teach, group by group, with what each rests on.
 * @param kitchen with its body readings and paces as they count
 * Source: docs/models.md "Learning".
 */
export function learnedOf(kitchen: KitchenData, readings: Readings): Learned[] {
  const marks = grouped(readings.marks, mark => markKey(mark.group, mark.key));
  const standing = (group: GroupId, key: string): Standing =>
    standingOf(marks.get(markKey(group, key)) ?? []);
  const found = [...followed(kitchen, readings, standing), ...proposals(kitchen, readings, standing)];
  return found.sort(
    (a, b) =>
      GROUP_IDS.indexOf(a.group) - GROUP_IDS.indexOf(b.group) || b.n - a.n || a.title.localeCompare(b.title),
  );
}
