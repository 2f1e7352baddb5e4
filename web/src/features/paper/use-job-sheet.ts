import { computed } from 'vue';
import { isMetric, readQuantity, reckonTyped } from '@sprell/core';
import { jobSheet, roomOf, type JobSheet, type SheetLine, type SheetMark } from '@sprell/core/paper';
import type { SlateRow } from '../../job/index.ts';
import { Quantities } from '../../job/quantities.ts';
import { useShownVersion } from '../../live/shown-version.ts';
import { useJob } from '../../live/use-jobs.ts';
import { useKept } from '../../live/use-kept.ts';
import { useSheet } from '../../live/use-sheet.ts';
import { isOnRod } from '../../parts/marks/mark-on-rod.ts';
import { readLine } from '../../parts/slate/line-reading.ts';
import { totalAbove } from '../../parts/slate/total-above.ts';
import { jobFigure } from '../../parts/figure/job-figure.ts';

/** What of a job is printed; this device keeps it for all jobs. */
const USUAL = {
  lines: true,
  readBacks: true,
  notes: true,
  totals: false,
  marks: true,
  figures: true,
  list: true,
  prices: false,
  blank: 'none' as 'none' | 'some' | 'rest',
};
export type SheetParts = typeof USUAL;
const SOME = 8;
/** Height of a drawing: two of them on a sheet. */
const FIGURE = 100;

const today = () => new Intl.DateTimeFormat('en-GB', { dateStyle: 'long' }).format(Date.now());

/** The open job on paper: the parts that were chosen, and the sheets of them. */
export function useJobSheet() {
  const job = useJob();
  const list = new Quantities(job);
  const { versionNow } = useShownVersion(list);
  const { sheet, sheets } = useSheet();
  const parts = useKept<SheetParts>('job-sheet', USUAL);
  const ofJob = useKept(() => `job-sheet.${job.head?.id}`, { under: '', without: [] as string[] });

  const lines = computed(() => {
    const { readBacks, notes, totals } = parts.value;
    const said = job.slate.rows.flatMap((row) => lineOf(row, readBacks, notes));
    return totals ? withTotals(said) : said.map(({ line }) => line);
  });

  interface SaidRow {
    readonly row: SlateRow;
    readonly line: SheetLine;
  }
  function lineOf(row: SlateRow, readBacks: boolean, notes: boolean): readonly SaidRow[] {
    if (row.kind !== 'worked')
      return row.kind === 'note' && !notes ? [] : [{ row, line: { kind: row.kind, words: row.words } }];
    const { line, worked } = row;
    const { readBack, reading, answer, rounding, problem } = readLine(worked, job.style);
    const label = line.label ?? '';
    return [
      {
        row,
        line: {
          kind: 'worked',
          number: line.number,
          label,
          readBack: readBacks ? readBack : '',
          result: reading?.text ?? answer ?? problem ?? '',
          rounding: rounding ?? '',
          note: notes ? line.note : '',
          isTotal: label.toLowerCase() === 'total',
        },
      },
    ];
  }
  /** Under what a heading holds, what it adds up to, where that is of one kind and no total is there yet. */
  function withTotals(said: readonly SaidRow[]): readonly SheetLine[] {
    const rows = job.slate.rows;
    const total = (end: number): readonly SheetLine[] => {
      const last = rows[end - 1];
      const entry =
        last?.kind === 'worked' && last.line.label?.toLowerCase() === 'total'
          ? undefined
          : totalAbove(rows.slice(0, end));
      if (entry === undefined) return [];
      const { reading } = reckonTyped(entry, { scope: job.slate.scope(), style: job.style, bare: 'plain' });
      if (reading === undefined) return [];
      const { text } = reading;
      const nothing = { number: undefined, label: 'total', readBack: '', rounding: '', note: '' };
      return [{ kind: 'worked', ...nothing, result: text, isTotal: true }];
    };
    const places = new Map(rows.map((row, n) => [row, n]));
    const headed = said.flatMap(({ row, line }, n) =>
      row.kind === 'heading' && n > 0 ? [...total(places.get(row) ?? 0), line] : [line],
    );
    return [...headed, ...total(rows.length)];
  }

  const marks = computed(() => {
    const notes = new Map(job.slate.rows.map(({ line }) => [line.id, line.note]));
    return job.marks.list.filter(isOnRod).map((mark): SheetMark => ({
      name: mark.name,
      quantity: mark.quantity,
      text: readQuantity(mark.quantity, job.style).text,
      note: notes.get(mark.keptBy ?? '') ?? '',
    }));
  });

  const figures = computed(() => {
    const { width } = roomOf(sheet.value);
    return job.setOuts.list
      .filter(({ id }) => !ofJob.value.without.includes(id))
      .flatMap((setOut) => {
        const block = jobFigure(setOut, job, { width, height: FIGURE });
        return block ? [{ ...block, title: setOut.name, says: `Scale ${block.scale}` }] : [];
      });
  });

  const written = computed(() => {
    const roundedAt = job.head?.moneyRounded ?? 'row';
    return list.written({ version: versionNow.value, roundedAt, on: today() });
  });

  const drawings = computed(() => {
    const { lines: hasLines, marks: hasMarks, figures: hasFigures, list: hasList, prices, blank } = parts.value;
    const asked: JobSheet = {
      sheet: sheet.value,
      title: job.head?.title ?? '',
      under: ofJob.value.under,
      on: today(),
      lines: hasLines ? lines.value : undefined,
      marks: hasMarks ? { list: marks.value, metric: isMetric(job.style.length) } : undefined,
      figures: hasFigures ? figures.value : undefined,
      list: hasList && list.rows.length > 0 ? { written: written.value, prices } : undefined,
      blank: blank === 'some' ? SOME : blank === 'rest' ? 'rest' : 0,
    };
    return jobSheet(asked);
  });
  const has = computed(() => ({
    lines: job.slate.rows.length > 0,
    marks: marks.value.length > 0,
    figures: job.setOuts.list.length > 0,
    list: list.rows.length > 0,
  }));
  return { sheet, sheets, parts, ofJob, drawings, has };
}
