/** What other features may use of the mail. */
export { makeLetters, type Letters } from './letters.ts';
export { MailStandIn, smtpMailer, type Mailer } from './mailer.ts';
export { outboxPage } from './outbox-page.ts';
