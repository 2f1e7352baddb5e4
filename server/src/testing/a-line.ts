import { v7 as uuidv7 } from 'uuid';

/** A change that adds a line, with what a test does not care about filled in. */
export const aLine = (number: number, more: object = {}) => ({
  id: uuidv7(),
  kind: 'line.add',
  lineId: uuidv7(),
  number,
  position: 'a0',
  source: '5',
  label: null,
  note: '',
  ...more,
});
