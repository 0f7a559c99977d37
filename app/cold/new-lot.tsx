import { Button } from "../ui/button";
import { OnceForm } from "../ui/once-form";
import { FIELD, Problems, useDone } from "./parts";

export function NewLot() {
  const fetcher = useDone();
  return (
    <details className="mt-4">
      <summary className="cursor-pointer font-semibold">Trim, fat or something left over</summary>
      <OnceForm fetcher={fetcher} className="mt-2 flex flex-wrap items-center gap-2">
        <input
          name="name"
          placeholder="mushroom trimmings"
          aria-label="what it is"
          className={`${FIELD} w-56`}
        />
        <input name="massG" inputMode="decimal" aria-label="grams" className={`${FIELD} w-24`} />g
        <input
          name="keepDays"
          inputMode="numeric"
          defaultValue="2"
          aria-label="days it keeps"
          className={`${FIELD} w-16`}
        />
        days
        <input name="place" placeholder="where" aria-label="where" className={`${FIELD} w-32`} />
        <Button type="submit" name="intent" value="lot">
          Put away
        </Button>
        <Problems of={fetcher.data?.problems} />
      </OnceForm>
    </details>
  );
}
