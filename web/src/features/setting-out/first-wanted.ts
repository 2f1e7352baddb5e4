/** What a site asks of each shape, in the order in which it asks: those answers stand first and large. */
const FIRST: Readonly<Record<string, readonly string[]>> = {
  'right-triangle': ['diagonal', 'pitch', 'rise', 'run'],
  triangle: ['c', 'b', 'a', 'C', 'B', 'A'],
  'square-check': ['both', 'apart', 'push'],
  rafter: ['whole', 'cut', 'plumb', 'level'],
  hip: ['whole', 'cut', 'plumb', 'side', 'backing'],
  jacks: ['firstCut', 'step', 'plumb', 'side'],
  arc: ['radius', 'rise', 'chord', 'arc'],
  circle: ['radius', 'diameter', 'around'],
  ellipse: ['pins', 'string', 'end'],
  ring: ['width', 'outside', 'area'],
  polygon: ['side', 'mitre', 'corners', 'flats'],
  'spacing-gaps': ['gap', 'centres', 'count'],
  'spacing-members': ['gap', 'centres', 'count'],
  'spacing-centres': ['count', 'ends', 'gap'],
  steps: ['count', 'rise', 'going', 'run', 'string'],
  slab: ['order', 'volume', 'bags'],
  wall: ['order', 'volume', 'bags'],
  holes: ['order', 'volume', 'bags'],
  footing: ['order', 'volume', 'bags'],
};
/** How many of them are written large. */
const LARGE = 3;

/** The fields of a shape that are found, the ones wanted first in front, and whether each is written large. */
export function inWantedOrder<Field extends { readonly id: string }>(
  shape: string,
  found: readonly Field[],
): readonly { readonly field: Field; readonly isLarge: boolean }[] {
  const first = FIRST[shape] ?? [];
  const place = ({ id }: Field) => (first.includes(id) ? first.indexOf(id) : first.length);
  return [...found]
    .sort((one, other) => place(one) - place(other))
    .map((field, at) => ({ field, isLarge: at < LARGE && first.includes(field.id) }));
}
