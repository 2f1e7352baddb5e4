/** Published values and constructions by coordinates. */
export const GOLDEN_SHAPES: readonly (readonly [
  shape: string,
  given: Readonly<Record<string, string>>,
  answers: readonly Readonly<Record<string, string>>[],
])[] = [
  [
    'right-triangle',
    { rise: `3'`, run: `4'` },
    [{ diagonal: '5′', area: '6 sq ft', foot: '≈ 36.87°', head: '≈ 53.13°' }],
  ],
  ['right-triangle', { diagonal: `13'`, run: `5'` }, [{ rise: '12′' }]],
  ['right-triangle', { run: `12'`, pitch: '6:12' }, [{ rise: '6′', diagonal: '13′ 5″' }]],
  ['right-triangle', { diagonal: `15'`, pitch: '30°' }, [{ rise: '7′ 6″', foot: '30°', head: '60°' }]],
  ['right-triangle', { rise: `6'`, pitch: '45°' }, [{ run: '6′', diagonal: '8′ 5 13⁄16″' }]],
  ['triangle', { a: `3'`, b: `4'`, c: `5'` }, [{ C: '90°', area: '6 sq ft', height: '2′ 4 13⁄16″' }]],
  ['triangle', { a: `13'`, b: `14'`, c: `15'` }, [{ area: '84 sq ft', height: '11′ 2 3⁄8″' }]],
  ['triangle', { a: `5'`, B: '60°', C: '60°' }, [{ A: '60°', b: '5′', c: '5′' }]],
  [
    'triangle',
    { a: `3'`, b: `4'`, A: '40°' },
    [
      { B: '≈ 58.99°', C: '≈ 81.01°', c: '≈ 4′ 7 5⁄16″' },
      { B: '≈ 121.01°', C: '≈ 18.99°', c: '≈ 1′ 6 1⁄4″' },
    ],
  ],
  ['triangle', { a: `5'`, b: `4'`, A: '40°' }, [{ B: '≈ 30.95°', c: '≈ 7′ 4 1⁄4″' }]],
  ['arc', { chord: `8'`, rise: `1'` }, [{ radius: '8′ 6″', angle: '≈ 56.14°', arc: '≈ 8′ 3 15⁄16″' }]],
  [
    'arc',
    { chord: `8'`, radius: `5'` },
    [
      { rise: '2′', angle: '≈ 106.26°' },
      { rise: '8′', angle: '≈ 253.74°' },
    ],
  ],
  ['arc', { radius: `6'`, angle: '60°' }, [{ chord: '6′', arc: '6′ 3 3⁄8″', sector: '18.85 sq ft' }]],
  ['arc', { radius: `6'`, angle: '180°' }, [{ chord: '12′', rise: '6′', segment: '56.549 sq ft' }]],
  // A half circle, and the arc of 60°, from the length of the arc.
  ['arc', { chord: '2 m', arc: '3.14159265358979323846 m' }, [{ radius: '≈ 3′ 3 3⁄8″', rise: '≈ 3′ 3 3⁄8″' }]],
  ['arc', { chord: '1 m', arc: '1.04719755119659774615 m' }, [{ radius: '≈ 3′ 3 3⁄8″', angle: '≈ 60°' }]],
  [
    'arc',
    { rise: '1.7 m', arc: '5 m' },
    [
      { angle: '≈ 205.02°', radius: '≈ 4′ 7″' },
      { angle: '≈ 332.04°', radius: '≈ 2′ 9 15⁄16″' },
    ],
  ],
  ['circle', { diameter: `2'` }, [{ radius: '1′', around: '6′ 3 3⁄8″', area: '3.142 sq ft' }]],
  ['circle', { area: '78.53981633974483 sq ft' }, [{ radius: '≈ 5′' }]],
  ['ring', { outer: `4'`, width: '6"' }, [{ inner: '3′', area: '5.498 sq ft' }]],
  ['ring', { inner: `3'`, width: '6"' }, [{ outer: '4′', outside: '12′ 6 13⁄16″' }]],
  // The octagon: side = flats (√2 − 1), exactly.
  [
    'polygon',
    { sides: '8', flats: `12'` },
    [{ side: '4′ 11 5⁄8″', corners: '≈ 12′ 11 7⁄8″', mitre: '22.5°', corner: '135°' }],
  ],
  [
    'polygon',
    { sides: '6', side: `2'` },
    [{ corners: '4′', flats: '3′ 5 9⁄16″', around: '12′', area: '10.392 sq ft' }],
  ],
  ['polygon', { sides: '4', side: `2'` }, [{ flats: '2′', corners: '2′ 9 15⁄16″', mitre: '45°' }]],
  // Published compound mitres: four sides at 38° and at 45°, from tables for crown moulding.
  ['polygon', { sides: '4', side: `2'`, lean: '38°' }, [{ turn: '≈ 31.62°', tilt: '≈ 33.86°' }]],
  ['polygon', { sides: '4', side: `2'`, lean: '0°' }, [{ turn: '0°', tilt: '45°' }]],
  ['polygon', { sides: '4', side: `2'`, lean: '45°' }, [{ turn: '≈ 35.26°', tilt: '30°' }]],
  [
    'slab',
    { length: `20'`, width: `12'`, depth: '4"', yield: '0.6 cu ft', waste: '10%' },
    [{ volume: '80 cu ft', order: '88 cu ft', bags: '147' }],
  ],
  ['slab', { length: `2'`, width: `2'`, depth: `1'`, count: '8' }, [{ volume: '32 cu ft' }]],
  [
    'wall',
    { length: `20'`, height: `9'`, thick: '8"', openings: "2 * 3' * 5'" },
    [{ face: '150 sq ft', volume: '100 cu ft' }],
  ],
  ['wall', { volume: '6 m3', height: '2 m', thick: '300 mm' }, [{ length: '32′ 9 11⁄16″' }]],
  // A frustum of a pyramid, 6 and 3 along its squares, 4 high: 4/3 (36 + 9 + 18) = 84.
  [
    'footing',
    { footLength: `6'`, footWidth: `6'`, topLength: `3'`, topWidth: `3'`, height: `4'`, waste: '0%' },
    [{ volume: '84 cu ft', order: '84 cu ft' }],
  ],
  // Two wedges and a block, by their parts: 2 × 1 × 1 + 2 × ½ × 1 × 1 × 1 = 3.
  [
    'footing',
    { footLength: '4 m', footWidth: '1 m', topLength: '2 m', topWidth: '1 m', volume: '3 m3' },
    [{ height: '3′ 3 3⁄8″' }],
  ],
  // The classic 3, 4, 5 frame, and one that is 1″ out along its top: both diagonals by coordinates.
  [
    'square-check',
    { length: `8'`, width: `6'`, rising: `10'`, falling: `10'` },
    [{ both: '10′', apart: '0″', push: '0″', corner: '90°' }],
  ],
  [
    'square-check',
    { length: '96"', width: 'sqrt(72^2 + 1) * 1"', rising: 'hyp(97"; 72")', falling: 'hyp(95"; 72")' },
    [{ apart: '1 5⁄8″', push: '1″' }],
  ],
  // Axes of 10 and 8: pins 6 apart, string 16; around it 28.361667…; of 4 and 2: 9.688448…
  [
    'ellipse',
    { long: '10 m', short: '8 m' },
    [{ pins: '19′ 8 1⁄4″', string: '52′ 5 15⁄16″', end: '6′ 6 3⁄4″', around: '≈ 93′ 5⁄8″' }],
  ],
  ['ellipse', { string: `16'`, short: `8'` }, [{ long: '10′', pins: '6′', area: '62.832 sq ft' }]],
  ['ellipse', { long: `10'`, string: `16'` }, [{ short: '8′' }]],
  [
    'spacing-centres',
    { length: `20'`, width: '1 1/2"', centres: '16"' },
    [{ count: '15', ends: '7 1⁄4″', gap: '1′ 2 1⁄2″' }],
  ],
  [
    'spacing-centres',
    { length: '3 m', width: '50 mm', ends: '100 mm', largest: '400 mm' },
    [{ count: '8', centres: '1′ 3 7⁄16″' }],
  ],
  // 8′ 6″ in 15 rises of 6.8″, goings of 10.2″: 1 in 1.5. Floor 12″ and headroom 80″ over it: 138″ back.
  [
    'steps',
    { total: `8' 6"`, count: '15', going: '10.2"', floor: `1'`, headroom: `6' 8"` },
    [{ opening: '11′ 6″', string: '15′ 3 7⁄8″' }],
  ],
  ['slab', { volume: '2 m3', width: '400 mm', depth: '0.25 m' }, [{ length: '65′ 7 3⁄8″' }]],
  ['holes', { diameter: `1'`, depth: `4'`, count: '6', waste: '0%' }, [{ volume: '18.8496 cu ft' }]],
  // 9′ 1″ in 15 risers: 109/15 inches.
  [
    'steps',
    { total: `9' 1"`, going: '10 1/2"', tread: '1"' },
    [{ count: '15', rise: '7 1⁄4″', treads: '14', run: '12′ 3″', bottom: '6 1⁄4″', line: '14′ 10 3⁄4″' }],
  ],
  [
    'steps',
    { structure: '2.6 m', above: '75 mm', below: '25 mm', count: '14', run: '3.25 m' },
    [{ total: '8′ 8 5⁄16″', going: '9 13⁄16″' }],
  ],
  ['polygon', { sides: '8', flats: `12'`, plate: '5 1/2"' }, [{ short: '4′ 7 1⁄16″' }]],
  ['spacing-gaps', { length: `10'`, width: '1.5"', count: '20' }, [{ gap: '4 5⁄16″', centres: '5 13⁄16″' }]],
  ['spacing-gaps', { length: `6' 7 1/4"`, width: '1 1/2"', largest: '4"' }, [{ count: '14', gap: '3 7⁄8″' }]],
  ['spacing-members', { length: `10'`, width: '3 1/2"', count: '5' }, [{ gap: '2′ 1 5⁄8″' }]],
  ['spacing-members', { width: '90 mm', gap: '110 mm', count: '11' }, [{ length: '6′ 10 5⁄16″' }]],
];
