import { Tag } from "lucide-react";
import { Form } from "react-router";
import { STOCKS } from "../paper/stocks";
import { Button } from "../ui/button";

const FIELD = "mt-0.5 block h-11 rounded-md border border-rule bg-enamel px-2 text-base text-ink";

/** Labels for the containers of a batch, or of a day. @param of the page of what is labelled */
export function LabelsForm({ of, title, each = 4 }: { of: string; title: string; each?: number }) {
  return (
    <Form
      reloadDocument
      action={`${of}/labels.pdf`}
      aria-label="Labels"
      className="mt-8 flex flex-wrap items-end gap-3 rounded-2xl border border-rule bg-enamel p-5 print:hidden"
    >
      <h2 className="basis-full text-lg">{title}</h2>
      <label className="text-xs text-faded">
        how many
        <input name="count" inputMode="numeric" defaultValue={each} className={`${FIELD} w-20`} />
      </label>
      <label className="text-xs text-faded">
        kept
        <select name="kept" className={FIELD}>
          <option value="chilled">chilled</option>
          <option value="frozen">frozen</option>
        </select>
      </label>
      <label className="text-xs text-faded">
        on
        <select name="stock" className={FIELD}>
          {STOCKS.map(stock => (
            <option key={stock.id} value={stock.id}>
              {stock.words}
            </option>
          ))}
        </select>
      </label>
      <label className="text-xs text-faded">
        of the first sheet, used already
        <input name="skip" inputMode="numeric" defaultValue="0" className={`${FIELD} w-20`} />
      </label>
      <Button type="submit" className="min-h-11">
        <Tag aria-hidden="true" className="size-4" /> Labels
      </Button>
      <p className="basis-full text-sm text-faded">
        Use-by is proposed by class, from what was logged; a planned temperature lengthens nothing. Follow
        your local food code.
      </p>
    </Form>
  );
}
