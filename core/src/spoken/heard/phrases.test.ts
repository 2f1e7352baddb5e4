import { describe, expect, it } from 'vitest';
import { DEFAULT_STYLE } from '../../reading/style.ts';
import { Session } from '../../session/session.ts';
import { heardEntry } from './entry.ts';

const NAMES = ['rail', 'post', 'top_rail', 'gap', 'rafter'];

/** Phrases, the entries that they are meant for, and what those come to on a slate whose last result is 12′ 6″. */
const PHRASES: Readonly<Record<string, readonly (readonly [phrase: string, entry: string, reads: string])[]>> = {
  sizes: [
    ['nine foot seven and a quarter', `9' 7 1/4"`, '9′ 7 1⁄4″'],
    ['nine feet seven and one quarter inches', `9' 7 1/4"`, '9′ 7 1⁄4″'],
    ['9 foot 7 1/4', `9' 7 1/4"`, '9′ 7 1⁄4″'],
    [`9' 7¼"`, `9' 7 1/4"`, '9′ 7 1⁄4″'],
    ['nine foot', `9'`, '9′'],
    ['nine foot and three eighths', `9' 3/8"`, '9′ 3⁄8″'],
    ['nineteen inches and a half', `19 1/2"`, '1′ 7 1⁄2″'],
    ['nineteen and a quarter inches', `19 1/4"`, '1′ 7 1⁄4″'],
    ['half an inch', `1/2"`, '1⁄2″'],
    ['have an inch', `1/2"`, '1⁄2″'],
    ['a quarter of an inch', `1/4"`, '1⁄4″'],
    ['three-quarters of an inch', `3/4"`, '3⁄4″'],
    ['seven sixteenths of an inch', `7/16"`, '7⁄16″'],
    ['an inch and a half', `1 1/2"`, '1 1⁄2″'],
    ['an inch and three eighths', `1 3/8"`, '1 3⁄8″'],
    ['a foot and a half', `1 1/2'`, '1′ 6″'],
    ['a foot nine', `1' 9"`, '1′ 9″'],
    ['six and a half feet', `6 1/2'`, '6′ 6″'],
    ['two yards one foot three inches', `2 yd 1' 3"`, '7′ 3″'],
    ['five and three eighths inches', `5 3/8"`, '5 3⁄8″'],
    ['five three eighths inches', `5 3/8"`, '5 3⁄8″'],
    ['twenty three eighths inches', `20 3/8"`, '1′ 8 3⁄8″'],
    ['eleven thirty-seconds of an inch', `11/32"`, '3⁄8″'],
    ['a thirty second of an inch', `1/32"`, '1⁄16″'],
    ['to foot nine', `2' 9"`, '2′ 9″'],
    ['for foot ate', `4' 8"`, '4′ 8″'],
    ['won foot for', `1'`, '1′'],
    ['two foot six and a half', `2' 6 1/2"`, '2′ 6 1⁄2″'],
    ['minus three inches', `last − 3"`, '12′ 3″'],
  ],
  metric: [
    ['four metres twenty', '4 m 20 cm', '13′ 9 3⁄8″'],
    ['two metres forty', '2 m 40 cm', '7′ 10 1⁄2″'],
    ['two meters four hundred', '2 m 400 mm', '7′ 10 1⁄2″'],
    ['two metres forty centimetres', '2 m 40 cm', '7′ 10 1⁄2″'],
    ['two point four metres', '2.4 m', '7′ 10 1⁄2″'],
    ['one point oh five metres', '1.05 m', '3′ 5 5⁄16″'],
    ['a metre and a half', '1 1/2 m', '4′ 11 1⁄16″'],
    ['fourteen fifty mil', '1450 mm', '4′ 9 1⁄16″'],
    ['twenty-four hundred millimetres', '2400 mm', '7′ 10 1⁄2″'],
    ['two thousand four hundred mil', '2400 mm', '7′ 10 1⁄2″'],
    ['ninety mil', '90 mm', '3 9⁄16″'],
    ['half a metre', '1/2 m', '1′ 7 11⁄16″'],
  ],
  numbers: [
    ['a hundred and twenty', '120', '120'],
    ['one hundred and forty-four', '144', '144'],
    ['twelve hundred', '1200', '1200'],
    ['twenty four hundred', '2400', '2400'],
    ['two million', '2000000', '2000000'],
    ['one hundred and five thousand and sixty', '105060', '105060'],
    ['one two five', '125', '125'],
    ['nine oh five', '905', '905'],
    ['double three', '33', '33'],
    ['treble seven', '777', '777'],
    ['a dozen', '12', '12'],
    ['two dozen', '24', '24'],
    ['point two five', '0.25', '0.25'],
    ['nought point seven five', '0.75', '0.75'],
    ['three point one four', '3.14', '3.14'],
    ['seven and a quarter', '7 1/4', '7.25'],
    ['one hundred and five eighths', '100 5/8', '100.625'],
    ['five eighths', '5/8', '0.625'],
    ['thirty degrees', '30°', '30°'],
    ['four hundred dollars', '$400', '$400.00'],
    ['thirty seconds', '30 s', '30 s'],
    ['six in twelve', '6 in 12', '6:12'],
  ],
  sums: [
    ['nine foot seven and a quarter plus two foot nine and three eighths', `9' 7 1/4" + 2' 9 3/8"`, '12′ 4 5⁄8″'],
    ['nine foot take away two foot six', `9' − 2' 6"`, '6′ 6″'],
    ['nine foot less two foot six less three inches', `9' − 2' 6" − 3"`, '6′ 3″'],
    ['nine foot mine us two foot', `9' − 2'`, '7′'],
    ['three foot four added to two foot', `3' 4" + 2'`, '5′ 4″'],
    ['three foot four and two foot', `3' 4" + 2'`, '5′ 4″'],
    ['two foot six times eight', `2' 6" × 8`, '20′'],
    ['three and five eighths times eight', '3 5/8 × 8', '29'],
    ['sixteen foot divided by five', `16' ÷ 5`, '3′ 2 3⁄8″'],
    ['eight times two foot six plus a foot', `8 × 2' 6" + 1'`, '21′'],
    ['nineteen and a quarter inches minus an inch and a half', `19 1/4" − 1 1/2"`, '1′ 5 3⁄4″'],
    ['twelve foot by nine foot', `12' × 9'`, '108 sq ft'],
    ['eight foot two squared', `(8' 2")²`, '66.694 sq ft'],
    ['three foot cubed', `(3')³`, '27 cu ft'],
    ['bracket two foot plus three foot close bracket times four', `(2' + 3') × 4`, '20′'],
    ['a third of nine foot', `1/3 of 9'`, '3′'],
    ['ten per cent of nine foot', `10% of 9'`, '10 13⁄16″'],
    ['nine foot plus ten percent', `9' + 10%`, '9′ 10 13⁄16″'],
    ['four cubic yards', '4 cu yd', '108 cu ft'],
    ['thirty-two square feet', '32 sq ft', '32 sq ft'],
    ['ten pounds four ounces', '10 lb 4 oz', '10.25 lb'],
    ['forty board feet', '40 bf', '3.3333 cu ft'],
  ],
  'what came before': [
    ['take three and a half inches off that', `last − 3 1/2"`, '12′ 2 1⁄2″'],
    ['add two foot to that', `last + 2'`, '14′ 6″'],
    ['divide that by five', 'last ÷ 5', '2′ 6″'],
    ['multiply it by four', 'last × 4', '50′'],
    ['and add a foot', `last + 1'`, '13′ 6″'],
    ['times three', 'last × 3', '37′ 6″'],
    ['double that', 'last × 2', '25′'],
    ['halve it', 'last ÷ 2', '6′ 3″'],
    ['square that', 'last²', '156.25 sq ft'],
    ['cube that', 'last³', '1953.125 cu ft'],
    ['half of that', '1/2 of last', '6′ 3″'],
    ['what is line one', '#1', '12′'],
    ['line one plus line two', '#1 + #2', '24′ 6″'],
    ['the sum of lines one to two', 'sum(#1..#2)', '24′ 6″'],
    ['the average of lines one to two', 'mean(#1..#2)', '12′ 3″'],
  ],
  marks: [
    ['twelve per cent of the rail', '12% of rail', '1′ 2 3⁄8″'],
    ['add two inches to rail', `rail += 2"`, '10′ 2″'],
    ['take two inches off the rail', `rail -= 2"`, '9′ 10″'],
    ['recall post', 'post', '8′'],
    ['rail times four', 'rail × 4', '40′'],
    ['top rail minus the gap', 'top_rail − gap', '8′ 8″'],
    ['take the rail from twelve foot', `12' − rail`, '2′'],
    ['store that as sill', 'sill = last', '12′ 6″'],
    ['store nine foot as ridge beam', `ridge_beam = 9'`, '9′'],
    ['call it top plate', 'top_plate = last', '12′ 6″'],
  ],
  functions: [
    ['square root of a hundred and forty-four', 'sqrt(144)', '12'],
    ['the hypotenuse of three foot and four foot', `hyp(3'; 4')`, '5′'],
    ['the diagonal of six foot by eight foot', `hyp(6'; 8')`, '10′'],
    ['the largest of two foot and thirty inches', `max(2'; 30")`, '2′ 6″'],
    ['sine of thirty degrees', 'sin(30°)', '0.5'],
  ],
  'ways to read it': [
    ['what is four metres twenty in feet', '4 m 20 cm to ft', '13.7795 ft'],
    ['eight foot two in millimetres', `8' 2" to mm`, '2489 mm'],
    ['what is sixteen foot divided by five in feet and inches', `16' ÷ 5 to ft in`, '3′ 2 3⁄8″'],
    ['nine foot seven to the nearest thirty-second', `9' 7" to 1/32"`, '9′ 7″'],
    ['to the nearest five mil', 'last to 5 mm', '3810 mm'],
    ['round up to the eighth', 'last up to 1/8"', '12′ 6″'],
    ['round that down to the nearest quarter of an inch', 'last down to 1/4"', '12′ 6″'],
    ['what is that in metres', 'last to m', '3.81 m'],
  ],
};

function slate(): Session {
  const session = new Session(DEFAULT_STYLE);
  for (const entry of [`12'`, `12' 6"`]) session.enter(entry);
  return session;
}
/** With the marks of the phrases; `last` is 12′ 6″ again. */
function slateWithMarks(): Session {
  const session = slate();
  for (const entry of [`rail = 10'`, `post = 8'`, `top_rail = 9'`, `gap = 4"`, `rafter = 16' 1 1/8"`, `12' 6"`])
    session.enter(entry);
  return session;
}

describe.each(Object.entries(PHRASES))('phrases of %s', (_, phrases) => {
  it.each(phrases)('%s', (phrase, entry, reads) => {
    const heard = heardEntry(phrase, NAMES);
    expect(heard.entry).toBe(entry);
    const { reading, issue } = slateWithMarks().enter(heard.entry);
    expect(issue).toBeUndefined();
    expect(reading?.text.replace('≈ ', '')).toBe(reads);
  });
});
