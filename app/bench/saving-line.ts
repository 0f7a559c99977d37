import type { FormulaDocument } from "~/core/formula";
import type { SaveReply } from "./replies";

type Submit = (body: string) => Promise<void>;

/** The line from a session to the server: what the router submits, and what it hands back in its own time. */
export class SavingLine {
  #submit: Submit | null = null;
  #answer: ((reply: SaveReply) => void) | null = null;

  /** What the page sends with, anew whenever the page has another. */
  readonly through = (submit: Submit): void => {
    this.#submit = submit;
  };

  readonly answered = (reply: SaveReply): void => {
    this.#answer?.(reply);
    this.#answer = null;
  };

  readonly send = (rowVersion: number, document: FormulaDocument): Promise<SaveReply> =>
    new Promise((resolve, reject) => {
      this.#answer = resolve;
      this.#submit?.(JSON.stringify({ intent: "save", rowVersion, document })).catch(reject);
    });
}
