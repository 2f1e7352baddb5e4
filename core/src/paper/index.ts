/** A job on paper. */
export { jobSheet, roomOf, type JobSheet, type SheetFigure, type SheetLine, type SheetMark } from './job-sheet.ts';
