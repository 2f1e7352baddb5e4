import type { ShapeIssueFields, Sentences } from '../base/issue.ts';
import { withArticle } from '../base/with-article.ts';

declare module '../base/issue.ts' {
  /** What a shape that is set out may be refused for. */
  interface ShapeIssueFields {
    'shape.kind': { readonly field: string; readonly kind: string; readonly wanted: string };
    'shape.nothing': { readonly field: string };
    'shape.below': { readonly field: string };
    'shape.slope': { readonly field: string; readonly number: string };
    'shape.whole': { readonly field: string };
    'shape.none': object;
    'triangle.diagonal': object;
    'triangle.sides': object;
    'triangle.angle': object;
    'triangle.short': object;
    'slope.plumb': object;
    'triangle.angles': object;
    'square.diagonal': object;
    'square.to_left': object;
    'square.to_right': object;
    'square.sides': object;
    'rafter.length': object;
    'rafter.ridge': object;
    'rafter.corner': object;
    'rafter.stand': object;
    'rafter.notch': object;
    'hip.notch': object;
    'jacks.first': object;
    'jacks.beyond': object;
    'ellipse.axes': object;
    'ellipse.pins': object;
    'ellipse.string': object;
    'ellipse.area': object;
    'spacing.room': object;
    'spacing.ends': object;
    'spacing.centres': object;
    'spacing.count': object;
    'spacing.whole': object;
    'spacing.gap': object;
    'spacing.none': object;
    'arc.chord': object;
    'arc.rise': object;
    'arc.turn': object;
    'arc.full': object;
    'arc.length': object;
    'ring.inner': object;
    'polygon.sides': object;
    'polygon.many': object;
    'polygon.plate': object;
    'polygon.lean': object;
    'steps.count': object;
    'steps.whole': object;
    'steps.tread': object;
    'steps.steep': object;
    'steps.shallow': object;
    'steps.long': object;
    'steps.short': object;
    'steps.slope': object;
    'steps.headroom': object;
    'wall.openings': object;
    'template.too_large': { readonly limit: string; readonly sheets: string };
    'footing.top': object;
  }
}

/** Their sentences: what is wrong and, where it helps, the way out. English. */
export const SHAPE_SENTENCES = {
  'shape.kind': ({ field, kind, wanted }) => `${field} is ${wanted}, and this is ${withArticle(kind)}.`,
  'shape.nothing': ({ field }) => `${field} has to be more than zero.`,
  'shape.below': ({ field }) => `${field} cannot be below zero; check the sign.`,
  'shape.slope': ({ field, number }) =>
    `${field}: a plain ${number} would be ${number} up for 1 along. Say which slope is meant.`,
  'shape.whole': ({ field }) => `${field} is a whole number; round it up or down.`,
  'shape.none': () => 'No shape has these sizes; check what was given.',
  'triangle.diagonal': () => 'The diagonal is the longest of the three; check it against rise and run.',
  'triangle.sides': () => 'One side is longer than the other two together: they do not meet. Check the sides.',
  'triangle.angle': () => 'An angle of a triangle is less than 180°; check the angles.',
  'triangle.short': () =>
    'The side across from the angle is too short to reach the third side; check the two sides and the angle.',
  'slope.plumb': () => 'At 90° and more a slope stands plumb or leans over; give less.',
  'triangle.angles': () => 'The angles come to 180° or more; the three of a triangle come to exactly that.',
  'square.diagonal': () => 'No frame with these sides has such diagonals; measure them again.',
  'square.to_left': () =>
    'Out of square: the diagonal rising to the right is too long. Push both top corners to the left.',
  'square.to_right': () =>
    'Out of square: the diagonal falling to the right is too long. Push both top corners to the right.',
  'square.sides': () => 'Sides and diagonals do not fit together: opposite sides differ, or one was measured wrong.',
  'rafter.length': () => 'Along the slope has to be longer than the rise and than the run; check the three.',
  'rafter.ridge': () => 'The ridge is as thick as the whole span; check the two.',
  'rafter.corner': () => 'The corner of the plates is less than 180°, where a hip would be none.',
  'rafter.stand': () => 'The hip is not as deep as the commons stand over the plate; take a deeper one.',
  'rafter.notch': () => 'The notch is deeper than you allow; make the seat shorter or the rafter deeper.',
  'hip.notch': () =>
    'The notch is deeper than you allow; take a deeper hip, or let the commons stand higher over the plate.',
  'jacks.first': () => 'So close to the corner the hip takes the whole jack; begin further out.',
  'jacks.beyond': () =>
    'The first jack stands beyond the common rafter; begin nearer to the corner, or take closer centres.',
  'ellipse.axes': () => 'The short axis is the shorter one; where both are alike it is a circle.',
  'ellipse.pins': () => 'The pins stand inside the ellipse: from one to the other is less than the long axis.',
  'ellipse.string': () =>
    'The string runs around both pins: it is longer than the long axis, and shorter than twice it.',
  'ellipse.area': () => 'A string of this length surrounds no such area; give a longer string or a smaller area.',
  'spacing.room': () => 'So many pieces have no room in this length; take fewer or thinner ones.',
  'spacing.ends': () => 'These sizes come out at no whole number of members; leave the end gaps or the centres open.',
  'spacing.centres': () => 'The members are as wide as their centres are apart; take wider centres.',
  'spacing.count': () => 'There are too few members for this; give one more.',
  'spacing.whole': () => 'These sizes come out at no whole number of members; give the largest gap instead of the gap.',
  'spacing.gap': () => 'The gap is wider than the largest that is allowed; take one member more.',
  'spacing.none': () => 'No member is needed: the whole length is no wider than the gap may be.',
  'arc.chord': () => 'The chord is longer than the circle is wide; give a larger radius.',
  'arc.rise': () => 'The arc rises higher than the circle is; give a larger radius.',
  'arc.turn': () => 'The arc would go round more than once; check its angle.',
  'arc.full': () => 'All the way round there is no chord; give an angle under 360°.',
  'arc.length': () => 'The arc is too short: it has to be longer than its chord, and more than 2.76 times its rise.',
  'ring.inner': () => 'The inner circle is as large as the outer one; check the two.',
  'polygon.sides': () => 'A polygon has three sides at least.',
  'polygon.many': () =>
    'With more than 1,000 sides a polygon is a circle to any tape; give fewer, or set out a circle.',
  'polygon.plate': () => 'The plates are so wide that they meet in the middle; take narrower ones.',
  'polygon.lean': () => 'Sides that lean by 90° or more lie flat; give less.',
  'steps.count': () => 'A flight has two risers at least.',
  'steps.whole': () => 'These sizes come out at no whole number of risers; give the number, or the rise at most.',
  'steps.tread': () => 'The tread is as thick as the rise is high; check the two.',
  'steps.steep': () => 'The rise is higher than you allow; take one riser more.',
  'steps.shallow': () => 'The going is shorter than you allow; give the flight more length.',
  'steps.long': () => 'Two rises and a going are longer than you allow; make the going shorter or the rise lower.',
  'steps.short': () => 'Two rises and a going are shorter than you allow; make the going longer.',
  'steps.slope': () => 'The flight is steeper than you allow; make the going longer.',
  'steps.headroom': () => 'Under the floor above there is less headroom than you allow, even before the first riser.',
  'wall.openings': () => 'The openings are as large as the wall; check the two.',
  'template.too_large': ({ limit, sheets }) =>
    `Full size this takes ${sheets} sheets; no more than ${limit} are made. Save it to scale.`,
  'footing.top': () => 'The top is larger than the foot; change the two over.',
} satisfies Sentences<ShapeIssueFields>;
