import type { Mailer } from './mailer.ts';

/** What somebody is written to about. */
export type Letter = { readonly kind: 'reset' | 'confirm'; readonly token: string } | { readonly kind: 'taken' };

export interface Letters {
  /** Whether what is sent gets anywhere. */
  readonly areSent: boolean;
  send(to: string, letter: Letter): Promise<void>;
}

/** @param publicUrl where people reach this server */
export function makeLetters(mailer: Mailer, publicUrl: () => string): Letters {
  /** Behind the #, so that it is in no log of any server on the way. */
  const link = (page: string, token: string) => `${publicUrl().replace(/\/$/, '')}/${page}#${token}`;
  const written = (letter: Letter): { readonly subject: string; readonly text: string } => {
    switch (letter.kind) {
      case 'reset':
        return {
          subject: 'A new password for Sprell',
          text: `Somebody asked for a new password for this address. If it was you, set it here within the hour:\n\n${link('new-password', letter.token)}\n\nIf it was not, nothing has changed and nothing need be done.`,
        };
      case 'confirm':
        return {
          subject: 'Your address at Sprell',
          text: `Somebody wants to keep their jobs at Sprell under this address. If it was you, open this within a day, best on the device where you asked for it:\n\n${link('confirm', letter.token)}\n\nIf it was not, nothing has changed and nothing need be done.`,
        };
      case 'taken':
        return {
          subject: 'Your account at Sprell',
          text: `Somebody wants to keep their jobs at Sprell under this address. There is an account with it already. If it was you, sign in to that account with its password; what was made on the device goes along. Where the password is forgotten, “Forgot the password” sends a link for a new one:\n\n${link('account', '').replace(/#$/, '')}\n\nIf it was not, nothing has changed and nothing need be done.`,
        };
    }
  };
  return {
    areSent: mailer.sends,
    send: (to, letter) => mailer.send({ to, ...written(letter) }),
  };
}
