import type { ThingContents } from '../wires.ts';

type Said = ThingContents['item'];
/** What a row of a take-off says, field by field; its place is its list's. */
export type ItemContent = { readonly [Field in keyof Said as string extends Field ? never : Field]: Said[Field] };

/** A row in which nothing has been typed. */
export const NEW_ITEM: ItemContent = {
  name: '',
  section: null,
  measure: 'each',
  count: '',
  length: '',
  width: '',
  depth: '',
  apiece: '',
  less: '',
  waste: '',
  pack: '',
  price: '',
  other: '',
  per: 'each',
  cutWhole: true,
  supplier: '',
  note: '',
  leftOut: false,
  tax: null,
  versions: [],
};
