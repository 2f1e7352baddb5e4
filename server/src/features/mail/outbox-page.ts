import type { RequestHandler } from 'express';
import type { MailStandIn } from './mailer.ts';

const SIGNS: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const escaped = (text: string) => text.replace(/[&<>"]/g, (sign) => SIGNS[sign] as string);
const linked = (text: string) => escaped(text).replace(/https?:\/\/\S+/g, (link) => `<a href="${link}">${link}</a>`);

/** What would have been sent, the last first: for trying things out, and never in a start for real use. */
export function outboxPage(standIn: MailStandIn): RequestHandler {
  return (_request, response) => {
    const mails = standIn
      .sent()
      .map(
        ({ to, subject, text, at }) =>
          `<article><h2>${escaped(subject)}</h2><p>To ${escaped(to)}, ${at.toISOString()}</p><pre>${linked(text)}</pre></article>`,
      );
    response.setHeader('Cache-Control', 'no-store');
    response
      .type('html')
      .send(
        `<!doctype html><html lang="en"><title>Mail that was not sent</title><h1>Mail that was not sent</h1>${mails.join('') || '<p>None yet.</p>'}</html>`,
      );
  };
}
