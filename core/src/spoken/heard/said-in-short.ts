/** What can be said, a few phrases of each kind: enough to begin with. */
export const SAID_IN_SHORT: readonly (readonly [what: string, phrases: readonly string[]])[] = [
  ['A size', ['nine foot seven and a quarter', 'four metres twenty', 'ninety mil']],
  ['A sum', ['nine foot plus two foot six', 'three and five eighths times eight', 'twelve per cent of the rail']],
  ['Go on', ['take three and a half off that', 'divide that by seven', 'to the nearest thirty-second']],
  ['Put it right', ['no, seven and a half', 'I said eighths', 'not plus, minus']],
  ['It counts', ['enter', 'yes', 'or just say the next one']],
  ['It does not', ['no', 'undo', 'delete line four']],
  ['Marks', ['store that as rail', 'recall post', 'add two inches to rail']],
  ['The slate', ['what were the last three', 'change line four to eight foot two', 'label that top rail', 'heading north wall', 'note on line two: check']], // prettier-ignore
  ['Hear it', ['read it again', 'how much over', 'exactly']],
  ['Fields', ['run fourteen foot eight', 'the rise is nine foot', 'new row studs']],
];
