/** Writes PDFs on a thread of its own. */
import { expose, transfer } from 'comlink';
import { drawingsToPdf, type PdfWriter } from './drawing-pdf.ts';

expose({
  write: async (drawings, title) => {
    const bytes = await drawingsToPdf(drawings, title);
    return transfer(bytes, [bytes.buffer]);
  },
} satisfies PdfWriter);
