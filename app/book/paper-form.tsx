import { FileText } from "lucide-react";
import { Form } from "react-router";
import { PAPERS } from "../paper/papers";
import { Button } from "../ui/button";

/** The card as a PDF: made on the server, the same as what is shown. */
export function PaperForm({ versionId, query }: { versionId: string; query: URLSearchParams }) {
  return (
    <Form reloadDocument action={`/book/${versionId}/card.pdf`} className="flex items-end gap-2">
      {[...query].map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      <label className="text-xs text-faded">
        paper
        <select
          name="paper"
          defaultValue="A4"
          className="mt-0.5 block rounded-md border border-rule bg-enamel px-2 py-2 text-base text-ink"
        >
          {PAPERS.map(paper => (
            <option key={paper}>{paper}</option>
          ))}
        </select>
      </label>
      <Button type="submit">
        <FileText aria-hidden="true" className="size-4" /> PDF
      </Button>
    </Form>
  );
}
