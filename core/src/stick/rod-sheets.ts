import { makeIssue, type Issue } from '../base/issue.ts';
import { fail, ok, type Result } from '../base/result.ts';
import { box, line, moved, SHEETS, words, type Drawing, type Shape, type SheetSize } from '../drawing/drawing.ts';
import { EDGE, HEAD, SHEET_LIMIT, sheetHead } from '../drawing/sheet-head.ts';
import { rationalToNumber } from '../number/rational.ts';
import { fittingScale } from '../scale/fitting-scale.ts';
import { spreadLabels, type NamedQuantity, type Rod, type RodMark } from './rod.ts';

/** A mark as it is printed. */
export interface PrintedMark extends NamedQuantity {
  /** Its size as it reads. */
  readonly text: string;
}

export interface RodPrint {
  readonly sheet: SheetSize;
  /** To a scale that fits on one sheet, or as large as it is, in strips to cut out and join. */
  readonly size: 'to-scale' | 'full-size';
  /** Scales as 1:20, or else as 1/2″ = 1′. */
  readonly metric: boolean;
  /** What stands at the head of each sheet. */
  readonly title: string;
}

/** A strip: the rod itself, and room above it for labels written upwards. */
interface StripPlan {
  readonly height: number;
  readonly rod: number;
  /** Height of the type. */
  readonly label: number;
  /** Between the feet of two labels. */
  readonly apart: number;
  /** Between a mark and its label. */
  readonly leader: number;
  /** Under the rod: what distinguishes one strip from the next has its room there, where no mark lies. */
  readonly foot: number;
}
const FULL_SIZE: StripPlan = { height: 48, rod: 8, label: 3.2, apart: 4.2, leader: 4, foot: 6 };
const [LEAST_TYPE, MOST_TYPE] = [3.2, 5.5];
/** One sheet holds one strip: the more marks, the smaller the type, so that each has room. */
function oneStrip(marks: number, long: number): StripPlan {
  const label = Math.min(MOST_TYPE, Math.max(LEAST_TYPE, long / (marks * 1.35 + 1)));
  return { height: 120, rod: 20, label, apart: label * 1.3, leader: 14, foot: 2 };
}
const PER_METRE = 1000;
/** Between a cut and what is printed next to it: more than a knife is off. */
const CLEAR = 1.5;

/**
 * The sheets of a rod: to scale on one, or full size in strips with cut lines, each strip with its number, and on every
 * sheet lines of 100 mm and 4 inches to check the print by. Lengths alone are printed.
 * @returns the sheets, or `rod.too_long` where they would be more than SHEET_LIMIT
 */
export function rodSheets(
  rod: Rod<PrintedMark>,
  { sheet, size, metric, title }: RodPrint,
): Result<readonly Drawing[], Issue> {
  const { width, height } = SHEETS[sheet];
  const long = width - 2 * EDGE;
  const span = (rod.end - rod.foot) * PER_METRE;
  const scale = size === 'full-size' ? undefined : fittingScale(span / long, metric);
  const drawn = scale === undefined ? span : span / rationalToNumber(scale.factor);
  const plan = scale === undefined ? FULL_SIZE : oneStrip(rod.marks.length, long);
  const perSheet = Math.floor((height - 2 * EDGE - HEAD) / plan.height);
  const count = Math.max(1, Math.ceil(drawn / long - 1e-9));
  const sheets = Math.ceil(count / perSheet);
  if (!(sheets <= SHEET_LIMIT))
    return fail(makeIssue('rod.too_long', { start: 0, end: 0 }, { limit: `${SHEET_LIMIT}`, sheets: `${sheets}` }));
  const strips = Array.from({ length: count }, (_, index) => stripOf(rod, plan, drawn, index, count, long));
  const pages = Array.from({ length: sheets }, (_, page) => {
    const how = `Story stick, ${scale ? `scale ${scale.title}` : 'full size'}. Sheet ${page + 1} of ${sheets}.`;
    const shapes: Shape[] = sheetHead(title, how, width);
    strips.slice(page * perSheet, (page + 1) * perSheet).forEach((strip, row) => {
      const top = EDGE + HEAD + row * plan.height;
      shapes.push(...strip.map((shape) => moved(shape, EDGE, top)));
    });
    return { width, height, shapes };
  });
  return ok(pages);
}

/** A whole rod on one strip, its corner at 0, 0, by the largest of the common scales that fits. */
export interface RodStrip {
  readonly scale: string;
  readonly height: number;
  readonly shapes: readonly Shape[];
}

/** How many marks find room on one strip, with labels that can be read. */
export const marksOnStrip = (long: number): number => Math.floor(long / (LEAST_TYPE * 1.3)) - 1;

/** @param long how much of a sheet it may take; @param metric scales as 1:20, or else as 1/2″ = 1′ */
export function rodStrip(rod: Rod<PrintedMark>, long: number, metric: boolean): RodStrip {
  const span = (rod.end - rod.foot) * PER_METRE;
  const { factor, title } = fittingScale(span / long, metric);
  const plan = oneStrip(rod.marks.length, long);
  return {
    scale: title,
    height: plan.height,
    shapes: stripOf(rod, plan, span / rationalToNumber(factor), 0, 1, long),
  };
}

/**
 * One strip, its corner at 0, 0.
 * @param drawn length of the whole rod on paper
 * @param long how much of it a strip holds
 */
function stripOf(
  rod: Rod<PrintedMark>,
  plan: StripPlan,
  drawn: number,
  index: number,
  count: number,
  long: number,
): readonly Shape[] {
  const at = ({ place }: RodMark<PrintedMark>) => place * drawn - index * long;
  const isLast = index === count - 1;
  const here = rod.marks.filter((mark) => at(mark) >= 0 && (at(mark) < long || (isLast && at(mark) <= long + 1e-6)));
  const end = isLast ? drawn - index * long : long;
  const rodTop = plan.height - plan.rod - plan.foot;
  const labelFoot = rodTop - plan.leader;
  const shapes: Shape[] = [box(0, rodTop, end, plan.rod)];
  const wanted = here.map(at);
  // Letters of an upright label stand to the left of its foot: all of them inside the cuts.
  const isCut = count > 1;
  const low = plan.label + (isCut ? CLEAR : 0);
  const places = spreadLabels(wanted, plan.apart, low, long - (isCut && !isLast ? CLEAR : 0.5));
  here.forEach(({ mark }, order) => {
    const x = wanted[order] as number;
    const label = places[order] as number;
    shapes.push(
      line(x, rodTop, x, rodTop + plan.rod),
      line(x, rodTop, label - plan.label / 3, labelFoot, 'fine'),
      words(label, labelFoot - 0.5, `${mark.name}  ${mark.text}`, plan.label, { upright: true }),
    );
  });
  if (isCut) {
    const cut = Math.max(end, (places[places.length - 1] ?? 0) + CLEAR);
    shapes.push(
      line(-4, plan.height, long + 4, plan.height, 'cut'),
      line(0, 0, 0, plan.height, 'cut'),
      // Nothing is joined to the last one: its labels may stand past the rod's end.
      line(cut, 0, cut, plan.height, 'cut'),
      words(1.5, plan.height - 1.5, `${index + 1}`, 4, { strong: true }),
      words(end - 1.5, plan.height - 1.5, isLast ? 'end' : `${index + 2} joins here`, 2.8, { anchor: 'end' }),
    );
  }
  return shapes;
}
