/** Something the person at the keyboard can mend: what is wrong, and what to do. */
export class Trouble extends Error {
  constructor(message, advice = "") {
    super(message);
    this.advice = advice;
  }
}

const started = Date.now();
const clock = () => `${((Date.now() - started) / 1000).toFixed(1).padStart(6)} s`;

export const say = {
  /** A step of the work, as it begins. */
  step: text => console.log(`${clock()}  ${text}`),
  line: text => console.log(text),
  trouble: (text, advice = "") => console.error(`\n${text}${advice ? `\n  → ${advice}` : ""}\n`),
};
