/**
 * What an entry may be written like, by example: the one list that the tests check, docs/notation.md is made from and
 * the help of the application shows. `reads` is the reading in feet, inches and sixteenths unless the form says
 * otherwise, `readBack` how the entry was understood.
 */
export interface AcceptedForm {
  readonly entry: string;
  readonly readBack: string;
  readonly reads: string;
  /** A few words where the example does not speak for itself. */
  readonly about?: string;
}

export interface FormGroup {
  readonly title: string;
  readonly rule: string;
  readonly forms: readonly AcceptedForm[];
}

const form = (entry: string, readBack: string, reads: string, about?: string): AcceptedForm =>
  about === undefined ? { entry, readBack, reads } : { entry, readBack, reads, about };

export const ACCEPTED_FORMS: readonly FormGroup[] = [
  {
    title: 'Numbers',
    rule: 'A comma tight before exactly three digits groups. Where the job writes a decimal comma, a comma is only that.',
    forms: [
      form('12.5', '12.5', '12.5'),
      form('.5', '0.5', '0.5'),
      form('2.5e3', '2500', '2500'),
      form('1,250', '1250', '1250'),
      form('3/8', '3⁄8', '0.375'),
      form('4 3/8', '4 3⁄8', '4.375', 'a mixed number'),
      form('4⅜', '4 3⁄8', '4.375'),
      form('5⁄16', '5⁄16', '0.3125'),
    ],
  },
  {
    title: 'Feet and inches',
    rule: 'Straight, curly and true primes and the unit words all read. The parts of one length go from the larger unit to the smaller; inches are implied after feet.',
    forms: [
      form(`9' 7 1/4"`, '9′ 7 1⁄4″', '9′ 7 1⁄4″'),
      form(`9'-7 1/4"`, '9′ 7 1⁄4″', '9′ 7 1⁄4″', 'as drawings write it'),
      form('9ft 7.25in', '9′ 7.25″', '9′ 7 1⁄4″'),
      form('9′ 7¼″', '9′ 7 1⁄4″', '9′ 7 1⁄4″'),
      form(`9' 7 1/4`, '9′ 7 1⁄4″', '9′ 7 1⁄4″', 'inches are implied'),
      form('9ft2in', '9′ 2″', '9′ 2″'),
      form('9 ft. 7 in.', '9′ 7″', '9′ 7″'),
      form('9ft.7in.', '9′ 7″', '9′ 7″', 'the point ends the word'),
      form(`9' 7''`, '9′ 7″', '9′ 7″'),
      form(`9' 7" 1/4`, '9′ 7 1⁄4″', '9′ 7 1⁄4″'),
      form(`7' 14"`, '7′ 14″', '8′ 2″'),
      form('115 1/4"', '115 1⁄4″', '9′ 7 1⁄4″'),
      form('(3/8)"', '3⁄8″', '3⁄8″'),
      form(`2 yd 1' 3"`, '2 yd 1′ 3″', '7′ 3″'),
      form('4-3/8"', '4 3⁄8″', '4 3⁄8″', 'a hyphen joins a whole number to its fraction'),
      form('12-6"', '12′ 6″', '12′ 6″', 'feet and inches; 12″ − 6″ is offered'),
      form('45 linear feet', '45′', '45′'),
    ],
  },
  {
    title: 'Metric lengths',
    rule: 'Behind metres two bare digits are centimetres and three are millimetres.',
    forms: [
      form('2.4 m to mm', '2.4 m to mm', '2400 mm'),
      form('2400mm to m', '2400 mm to m', '2.4 m'),
      form('2m 40cm to mm', '2 m 40 cm to mm', '2400 mm'),
      form('2 m 40 cm 5 mm to mm', '2 m 40 cm 5 mm to mm', '2405 mm'),
      form('2 m 40 to mm', '2 m 40 cm to mm', '2400 mm'),
      form('2 m 405 to mm', '2 m 405 mm to mm', '2405 mm'),
    ],
  },
  {
    title: 'Areas, volumes and the rest',
    rule: 'A power on a unit word is the unit’s, unless a length follows; on a prime it raises the length.',
    forms: [
      form('32 sq ft', '32 ft²', '32 sq ft'),
      form('32 ft^2', '32 ft²', '32 sq ft'),
      form('3ft2', '3 ft²', '3 sq ft'),
      form(`5'^2`, '(5′)²', '25 sq ft'),
      form('2 cu yd', '2 yd³', '54 cu ft'),
      form('40 bf', '40 bf', '3.3333 cu ft', 'board feet'),
      form('4 board feet', '4 bf', '0.3333 cu ft'),
      form('1 MBF', '1 MBF', '83.3333 cu ft', 'a thousand board feet'),
      form('3 squares', '3 squares', '300 sq ft', 'of roofing'),
      form('25 l to gal', '25 l to gal', '6.604 gal'),
      form('40 lb', '40 lb', '40 lb'),
      form('2 lb 4 oz', '2 lb 4 oz', '2.25 lb'),
      form('2 h 30 min', '2 h 30 min', '2.5 h'),
      form('1h30', '1 h 30 min', '1.5 h'),
      form(`30° 15'`, '30° 15′', '30.25°', 'minutes of a degree'),
      form('0.5 rad', '0.5 rad', '28.65°'),
      form('68 °F to °C', '68°F to °C', '20 °C'),
      form('68F to C', '68°F to °C', '20 °C'),
      form('20 C in F', '20°C to °F', '68 °F'),
      form('68 degrees F to C', '68°F to °C', '20 °C'),
      form('$4.20', '4.2 $', '$4.20'),
      form('4.20 $/m * 3 m', '4.2 $/m × 3 m', '$12.60'),
      form('60 mph', '60 mi/h', '88 ft/s'),
      form('6:12', '6:12', '6:12', 'a slope'),
      form('6 in 12', '6:12', '6:12'),
      form('6 on 12', '6:12', '6:12'),
      form('6/12 pitch', '6:12', '6:12'),
      form(`12' * 6:12`, '12′ × 6:12', '6′', 'rise over run under × and ÷'),
    ],
  },
  {
    title: 'The hyphen and the slash',
    rule: 'A hyphen tight on both sides joins whole feet to whole inches under 12; everywhere else it subtracts, and the minus sign − always does. A slash tight between two whole numbers is a fraction and binds tightest.',
    forms: [
      form(`9'-7"`, '9′ 7″', '9′ 7″'),
      form(`12'-18"`, '12′ − 18″', '10′ 6″'),
      form(`24'-3/8"`, '24′ − 3⁄8″', '23′ 11 5⁄8″'),
      form(`5' 6"-4"`, '5′ 6″ − 4″', '5′ 2″'),
      form(`16'-4-3/8"`, '16′ 4 3⁄8″', '16′ 4 3⁄8″'),
      form('12 / 3/4', '12 ÷ 3⁄4', '16'),
      form(`12' / 3/4"`, '12′ ÷ 3⁄4″', '192'),
      form('144/3/4', '(144 ÷ 3) ÷ 4', '12', 'a longer chain divides from the left'),
      form('2^1/2', '2^(1⁄2)', '1.414214'),
      form(`12'/3`, '12′ ÷ 3', '4′'),
      form(`12' divided by 3`, '12′ ÷ 3', '4′'),
    ],
  },
  {
    title: 'Order',
    rule: 'Fractions and compound lengths; brackets and functions; powers and roots, from the right; sign; multiply, divide and of, from the left; add and subtract, from the left; comparison; to.',
    forms: [
      form('5 + 6 * 4', '5 + (6 × 4)', '29'),
      form('-3^2', '−(3²)', '−9'),
      form('24 / 2 * 3', '(24 ÷ 2) × 3', '36'),
      form(`-9' 7"`, '−9′ 7″', '−9′ 7″'),
      form(`5' 6"^2`, '(5′ 6″)²', '30.25 sq ft'),
      form('2x4', '2 × 4', '8'),
      form(`3(4' + 2")`, '3 × (4′ + 2″)', '12′ 6″'),
      form(`24' 5" / 16"`, '24′ 5″ ÷ 16″', '18.3125'),
    ],
  },
  {
    title: 'Percent and parts',
    rule: 'Behind + or − a percent takes the sum so far, which the read-back calls it.',
    forms: [
      form(`12% of 9'`, '12% of 9′', '1′ 15⁄16″'),
      form('10 percent of 96"', '10% of 96″', '9 5⁄8″'),
      form(`9' + 12%`, '9′ + 12% of it', '10′ 15⁄16″'),
      form(`5' + 3' + 10%`, '(5′ + 3′) + 10% of it', '8′ 9 5⁄8″'),
      form(`9' + 12% of 3'`, '9′ + (12% of 3′)', '9′ 4 5⁄16″'),
      form(`1/3 of 7' 6"`, '1⁄3 of 7′ 6″', '2′ 6″'),
    ],
  },
  {
    title: 'Functions',
    rule: 'A semicolon separates values; a comma does where it cannot group. Without brackets a function takes one operand. A plain number given to sin, cos or tan is degrees.',
    forms: [
      form(`hyp(3'; 4')`, 'hyp(3′; 4′)', '5′', 'the diagonal'),
      form(`leg(5'; 3')`, 'leg(5′; 3′)', '4′', 'the other side'),
      form(`sqrt(25 sq ft)`, '√(25 ft²)', '5′'),
      form('cos 60 * 2', 'cos(60°) × 2', '1'),
      form('tan 22.5', 'tan(22.5°)', '0.414214'),
      form('atan(6:12)', 'atan(6:12)', '≈ 26.57°'),
      form(`max(1,250 mm, 3')`, 'max(1250 mm; 3′)', '4′ 1 3⁄16″'),
      form(`mod(24' 5"; 16")`, 'mod(24′ 5″; 16″)', '5″', 'what is left over'),
      form(`round(9' 7 5/16"; 1/4")`, 'round(9′ 7 5⁄16″; 1⁄4″)', '9′ 7 1⁄4″', 'changes the value'),
      form(`π * 3'`, 'π × 3′', '9′ 5 1⁄8″'),
    ],
  },
  {
    title: 'Choosing',
    rule: 'if takes the first value where its comparison holds, and the second where it does not. Both are of one kind.',
    forms: [
      form(`if(3' < 40"; 5"; 6")`, 'if(3′ < 40″; 5″; 6″)', '5″'),
      form(`if(7 / 2 == 3; 1'; 2')`, 'if(7 ÷ 2 == 3; 1′; 2′)', '2′'),
    ],
  },
  {
    title: 'Reading a line another way',
    rule: 'What follows to changes only how this line reads; its value stays exact.',
    forms: [
      form(`9' 7 1/4" to mm`, '9′ 7 1⁄4″ to mm', '2927 mm'),
      form(`9' 7 1/4" to ft`, '9′ 7 1⁄4″ to ft', '9.6042 ft'),
      form(`9' 7 1/4" to in`, '9′ 7 1⁄4″ to in', '115 1⁄4″'),
      form('115.25 in to ft in', '115.25″ to ft in', '9′ 7 1⁄4″'),
      form(`9' 7 5/32" to 1/32`, '9′ 7 5⁄32″ to 1⁄32', '9′ 7 5⁄32″'),
      form(`9' 7 5/32" up to 1/8"`, '9′ 7 5⁄32″ up to 1⁄8″', '9′ 7 1⁄4″'),
      form('2927 mm down to 5 mm', '2927 mm down to 5 mm', '2925 mm'),
      form(`12' in mm`, '12′ to mm', '3658 mm'),
      form('60 mph in kph', '60 mi/h to km/h', '96.5606 km/h'),
      form(`9' 7 5/32" to the nearest inch`, '9′ 7 5⁄32″ to nearest 1″', '9′ 7″'),
      form('320 sq ft up to squares', '320 ft² up to 1 square', '4 squares'),
      form('32.7 sq ft to 1 sq ft', '32.7 ft² to 1 ft²', '33 sq ft'),
      form('$12.34 to $5', '12.34 $ to 5 $', '$10.00'),
      form('34.81 down to 0.05', '34.81 down to 0.05', '34.8'),
      form(`12' 3.3" to fraction`, '12′ 3.3″ to fraction', '12′ 3 5⁄16″'),
      form('6:12 to degrees', '6:12 to degrees', '≈ 26.57°'),
      form('45° to slope', '45° to slope', '12:12'),
    ],
  },
  {
    title: 'Counts, spacings and words that only describe',
    rule: 'A number @ a size is so many of them; a length @ a size is how often the spacing goes into it. Words behind a size change nothing and stay in the read-back, in brackets.',
    forms: [
      form(`3 @ 4'`, '3 × 4′', '12′', 'three of them'),
      form(`24' @ 16"`, '24′ ÷ 16″', '18', 'how many spacings'),
      form(`24' @ 16" oc`, '24′ ÷ 16″ (oc)', '18'),
      form(`4' 3" x 2 ea`, '4′ 3″ × 2 ea', '8′ 6″'),
      form('16" o.c.', '16″ (o.c.)', '1′ 4″'),
      form(`4' 3" (rough)`, '4′ 3″ (rough)', '4′ 3″'),
    ],
  },
  {
    title: 'Labels and marks',
    rule: 'A label holds a letter and ends at the first colon with a space after it. A final = is Enter.',
    forms: [
      form(`top rail: 4' 2" * 3`, 'top rail: 4′ 2″ × 3', '12′ 6″'),
      form(`rail = 4' 2"`, 'rail = 4′ 2″', '4′ 2″', 'keeps the result as a mark'),
      form(`9' 7" =`, '9′ 7″', '9′ 7″'),
    ],
  },
];
