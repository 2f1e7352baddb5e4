/** What the physical keyboard does on the bench: the sheet under ? and the help show the same list. */
export const SHORTCUTS: readonly { readonly keys: string; readonly about: string }[] = [
  { keys: 'Enter', about: 'puts the entry on the slate' },
  { keys: '↑ ↓', about: 'brings earlier entries back, to be changed and run again' },
  { keys: 'Tab', about: 'takes the first suggestion' },
  { keys: '+ − × ÷ ^', about: 'in an empty entry: goes on from the last result' },
  { keys: 'Alt A', about: 'does the last step again on its result' },
  { keys: 'Alt K', about: 'stores the result: the name is typed next' },
  { keys: 'Alt L', about: 'lays every mark out in the place of the slate, and puts the slate back' },
  { keys: 'Alt +  Alt −', about: 'adds the result on to the mark in hand, or knocks it off' },
  {
    keys: 'Ctrl Z',
    about: 'takes a change of the entry back; with an empty entry, the last change of the slate',
  },
  { keys: 'Ctrl Y', about: 'does again what was undone last on the slate' },
  { keys: 'Esc', about: 'closes the suggestions; leaves a line that is being edited' },
  { keys: 'Alt ↑ ↓', about: 'on a line of the slate: moves it up or down' },
  { keys: '← →', about: 'on the drawn inch: the next division; Enter puts it in' },
  { keys: '?', about: 'shows these keys, while nothing is being written' },
];

/** What a finger or the mouse does there. */
export const TOUCHES: readonly { readonly where: string; readonly about: string }[] = [
  { where: 'the words of a line', about: 'edit it; all that uses it follows' },
  { where: 'the figure of a line', about: 'use it in the entry; the same goes for a mark of the story stick' },
  { where: 'the dots of a line', about: 'its note, insert above, move, use its whole sum, delete it' },
  { where: 'the drawn inch', about: 'puts a fraction in; dragged, it snaps and shows the fraction large' },
  { where: 'a figure in the entry', about: 'takes the whole of it, and the next keys replace it' },
  {
    where: 'the marks under the reading',
    about: 'finest division, rounding and unit: for this reading, the job, or for good',
  },
  { where: 'another unit under the reading', about: 'copies it; the arrow beside it makes it the main one' },
  { where: 'store', about: 'puts the result on the story stick under a free letter or a name of your own' },
  { where: 'the hand beside a mark', about: 'uses it: + and − over the marks then add to it and subtract' },
  { where: 'the name of the mark in hand', about: 'the whole story stick: postings, names, notes, printing' },
  {
    where: 'the rule at the top',
    about: 'scales of drawings: one in hand turns all that is typed, paper to site or back',
  },
];
