import { fileURLToPath } from "node:url";
import PDFDocument from "pdfkit";
import type { Code } from "./code.server";
import type { Paper } from "./papers";

/** Fonts that ship with the application, found where they are installed. */
const font = (name: string): string => fileURLToPath(import.meta.resolve(`@expo-google-fonts/${name}`));
const FONTS = {
  body: font("atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf"),
  bold: font("atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf"),
  italic: font("atkinson-hyperlegible-next/400Regular_Italic/AtkinsonHyperlegibleNext_400Regular_Italic.ttf"),
  display: font("bricolage-grotesque/600SemiBold/BricolageGrotesque_600SemiBold.ttf"),
} as const;
export type Face = keyof typeof FONTS;

/** Points. Source: ISO 216; ANSI/ASME Y14.1 for Letter. */
const SIZES: Readonly<Record<Paper, readonly [number, number]>> = {
  A4: [595.28, 841.89],
  A5: [419.53, 595.28],
  Letter: [612, 792],
};

export const INK = "#231f2b";
export const FADED = "#5d5766";
export const RULE = "#c9c0b0";
export const WARN = "#7a5200";
export const STOP = "#8e1d3c";

/** Signs the text faces have no letter for, as a reader says them. The narrow space is one that does not break. */
const SAID: readonly (readonly [RegExp, string])[] = [
  [/\u202f/g, "\u00a0"],
  [/µ/g, "μ"],
  [/⅓/g, "1/3"],
  [/⅔/g, "2/3"],
  [/(?<=\d)⅛/g, " 1/8"],
  [/⅛/g, "1/8"],
  [/→/g, "to"],
  [/₂/g, "2"],
  [/[▲✕]/g, "!"],
  [/✓/g, "·"],
];
export const forPaper = (text: string): string =>
  SAID.reduce((said, [sign, words]) => said.replace(sign, words), text);

export interface Style {
  readonly face?: Face;
  readonly size?: number;
  readonly colour?: string;
  readonly align?: "left" | "right" | "center";
}

/** A paper that fills from the top; what does not fit goes on to the next one. */
export class Sheet {
  readonly doc: PDFKit.PDFDocument;
  readonly left: number;
  readonly right: number;
  y: number;
  readonly #top: number;
  readonly #bottom: number;
  /** Type grows and shrinks with the paper. */
  readonly #scale: number;
  /** Drawn at the head of every paper but the first of its card. */
  onNext: (() => void) | null = null;

  /** @param paper a paper by name, or its width and height in points */
  constructor(paper: Paper | readonly [number, number], title: string, scale = 1) {
    const margin = paper === "A5" ? 28 : 42;
    this.doc = new PDFDocument({
      size: [...(typeof paper === "string" ? SIZES[paper] : paper)],
      margin: 0,
      autoFirstPage: true,
      bufferPages: true,
      info: { Title: forPaper(title), Creator: "Hondaro" },
      lang: "en",
    });
    for (const [name, file] of Object.entries(FONTS)) this.doc.registerFont(name, file);
    this.#scale = scale * (paper === "A5" ? 0.86 : 1);
    this.left = margin;
    this.right = this.doc.page.width - margin;
    this.#top = margin;
    this.#bottom = this.doc.page.height - margin - 14;
    this.y = this.#top;
  }

  get width(): number {
    return this.right - this.left;
  }

  points(size: number): number {
    return size * this.#scale;
  }

  #set({ face = "body", size = 9.5, colour = INK }: Style): void {
    this.doc.font(face).fontSize(this.points(size)).fillColor(colour);
  }

  /** How high a text stands in a width. */
  heightOf(text: string, width: number, style: Style = {}): number {
    this.#set(style);
    return this.doc.heightOfString(forPaper(text), { width, align: style.align ?? "left" });
  }

  /** Writes at a place; leaves `y` as it is. @returns how high it stands */
  at(text: string, x: number, y: number, width: number, style: Style = {}): number {
    if (!text) return 0;
    const height = this.heightOf(text, width, style);
    this.#set(style);
    this.doc.text(forPaper(text), x, y, { width, align: style.align ?? "left" });
    return height;
  }

  /** Writes across the paper and goes on below it. */
  line(text: string, style: Style = {}, gap = 2): void {
    if (!text) return;
    this.room(this.heightOf(text, this.width, style));
    this.y += this.at(text, this.left, this.y, this.width, style) + gap;
  }

  /** Makes sure that so much fits; begins the next paper where it does not. @returns whether it did */
  room(height: number): boolean {
    if (this.y + height <= this.#bottom) return false;
    this.nextPage();
    return true;
  }

  nextPage(): void {
    this.doc.addPage();
    this.y = this.#top;
    this.onNext?.();
  }

  get pages(): number {
    return this.doc.bufferedPageRange().count;
  }

  /** Goes back to a paper, counted from 0, to write from its top. */
  turnTo(page: number): void {
    this.doc.switchToPage(page);
    this.y = this.#top;
  }

  /** What stands where: words at the left, a number at the right. */
  leader(what: string, where: string): void {
    const height = this.at(what, this.left, this.y, this.width * 0.86, {});
    this.at(where, this.left, this.y, this.width, { align: "right" });
    this.y += height + 5;
  }

  rule(colour = RULE, weight = 0.6): void {
    this.doc
      .moveTo(this.left, this.y)
      .lineTo(this.right, this.y)
      .lineWidth(weight)
      .strokeColor(colour)
      .stroke();
    this.y += 5;
  }

  /** A code in a square of so many points. */
  code(code: Code, x: number, y: number, side: number): void {
    const module = side / code.size;
    this.doc.save().translate(x, y).scale(module).path(code.path).fill(INK).restore();
  }

  /** Hands it over as it is, without a foot. */
  bare(): Promise<Buffer> {
    return handOver(this.doc);
  }

  /** Numbers the papers and hands them over. */
  async done(foot: string): Promise<Buffer> {
    const { count } = this.doc.bufferedPageRange();
    for (let i = 0; i < count; i++) {
      this.doc.switchToPage(i);
      const y = this.doc.page.height - 30;
      this.at(foot, this.left, y, this.width * 0.8, { size: 7, colour: FADED });
      this.at(`${i + 1} of ${count}`, this.left, y, this.width, { size: 7, colour: FADED, align: "right" });
    }
    return handOver(this.doc);
  }
}

/** All that a document writes, in one piece. */
function handOver(doc: PDFKit.PDFDocument): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = [];
    doc.on("data", (chunk: Buffer) => chunks.push(chunk));
    doc.on("end", () => resolve(Buffer.concat(chunks)));
    doc.on("error", reject);
    doc.end();
  });
}

/** A PDF as an answer: shown in the browser, under its name when it is kept. */
export const pdfAnswer = (body: Buffer, name: string): Response =>
  new Response(new Uint8Array(body), {
    headers: {
      "Content-Type": "application/pdf",
      "Content-Disposition": `inline; filename="${name.replace(/[^\w .-]+/g, "-")}.pdf"`,
    },
  });
