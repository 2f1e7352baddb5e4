/** Help by what somebody wants to do. The tests reckon every example. */
export interface HelpTask {
  readonly id: string;
  readonly title: string;
  /** What people call it who do not call it so. */
  readonly also: string;
  /** Where it is done. */
  readonly room: string;
  readonly steps: readonly string[];
  /** Entries to try, with what each comes to in sixteenths. */
  readonly tries: readonly (readonly [entry: string, comesTo: string])[];
}

export const HELP_TASKS: readonly HelpTask[] = [
  {
    id: 'add',
    title: 'Add two sizes',
    also: 'sum plus total together addition take off minus subtract feet inches',
    room: '/',
    steps: [
      'Write the sizes as you would on a board, with + or − between them. Feet and inches need no bracket.',
      'Under the entry stands how it was read. Enter puts it on the slate, where it stays.',
      'Start the next entry with + or − and it goes on from the last result.',
    ],
    tries: [
      [`9' 7 1/4" + 2' 9 3/8"`, '12′ 4 5⁄8″'],
      ['17 3/8" - 5/16"', '1′ 5 1⁄16″'],
      [`6' - 3"`, '5′ 9″'],
    ],
  },
  {
    id: 'left-of-a-board',
    title: 'What is left of a board',
    also: 'offcut remainder rest cut list kerf saw waste stock length',
    room: '/',
    steps: [
      'Take each cut off the length of the board, and the width of the saw once for every cut.',
      'To go on cutting from the same board, store the rest under a name and take off with −=: offcut −= 3′ 2″.',
      'The list of quantities counts whole boards for many pieces: write the stock length under “Pack”.',
    ],
    tries: [
      [`16' - 3 * (4' 7 1/2" + 1/8")`, `2′ 1 1⁄8″`],
      [`mod(16'; 4' 7 5/8")`, '2′ 1 1⁄8″'],
      [`down(16' / (4' 7 5/8"))`, '3'],
    ],
  },
  {
    id: 'divide',
    title: 'Divide a length into equal parts',
    also: 'spacing split share space evenly centres studs balusters gap layout',
    room: '/',
    steps: [
      'Divide by the number of parts. The exact value is kept; only what you see is rounded to the tape.',
      'To lay out members with equal gaps, open “Setting out” and choose “Equal gaps”: it gives every mark from one end, so that no error adds up.',
    ],
    tries: [
      [`10' 5 1/8" / 14`, '8 15⁄16″'],
      [`(10' 5 1/8" - 13 * 1 1/2") / 14`, '7 9⁄16″'],
    ],
  },
  {
    id: 'round',
    title: 'Round to the tape',
    also: 'nearest fraction sixteenth eighth full shy heavy light precision tolerance',
    room: '/',
    steps: [
      'Every size is shown on the finest mark of your tape, with “full” where the true size is a little over and “shy” where it is under. The job’s set-up says which mark that is.',
      'The buttons under the reading show it in eighths, or rounded up or down. The value itself stays exact.',
      'To go on with the rounded size, write it so: round, up or down, to a step.',
    ],
    tries: [
      ['round(7 9/16"; 1/8")', '7 5⁄8″'],
      ['up(22.3)', '23'],
      [`100" / 7 to 1/8"`, '1′ 2 1⁄4″'],
    ],
  },
  {
    id: 'store',
    title: 'Keep a size and use it again',
    also: 'memory register store recall mark name variable story stick save measurement',
    room: '/stick',
    steps: [
      'After a result touch “store”, or write a name in front: rail = 10′ 5 1/8″. It becomes a mark on the story stick.',
      'Write the name in any entry, in any room, or touch the mark. When the size changes, all that uses it follows.',
      'rail += 2″ adds to it, rail −= 2″ takes off; its story shows how it came to what it is.',
    ],
    tries: [[`post = 9' 10 3/16"`, '9′ 10 3⁄16″']],
  },
  {
    id: 'correct',
    title: 'Correct a line',
    also: 'edit change mistake wrong fix undo delete typo',
    room: '/',
    steps: [
      'Touch the words of the line, change them and press Enter. Every line that uses it is worked out again.',
      'The arrow at the top takes the last change back, also a deleted line. It says what it takes back.',
      'A line that others use can be deleted with its value written into them.',
    ],
    tries: [],
  },
  {
    id: 'drawing-to-site',
    title: 'From the drawing to the site',
    also: 'scale plan blueprint 1:50 quarter inch to the foot measure paper copy',
    room: '/scales',
    steps: [
      'Open “Scale rule” and say what the drawing says: 1/4″ = 1′, or 1:50. A copy that was shrunk is measured against a size that stands on it.',
      'Write what you measure on paper; the size on site stands beside it, and the other way round.',
      'On the bench a scale is a factor: multiply by what one on paper is on site.',
    ],
    tries: [
      ['2 5/8" * 48', '10′ 6″'],
      ['9 mm * 20', '7 1⁄16″'],
    ],
  },
  {
    id: 'metric',
    title: 'Feet and inches to millimetres, and back',
    also: 'convert conversion metric mm cm centimetre millimetre metre meter inch imperial units change',
    room: '/tables',
    steps: [
      'Under each reading stands the same size in other units; a touch keeps it so.',
      'Write “to mm” behind an entry and it reads so for good. Units can be mixed in one entry.',
      'The room “Tables” shows any value in all its units, and prints a pocket card.',
    ],
    tries: [
      [`9' 7 1/4" to mm`, '2927 mm'],
      ['2400 mm + 3/4"', '7′ 11 1⁄4″'],
      ['68 °F to °C', '20 °C'],
    ],
  },
  {
    id: 'square',
    title: 'Is it square?',
    also: 'diagonal 3 4 5 pythagoras hypotenuse corner to corner brace',
    room: '/setting-out',
    steps: [
      'The diagonal of a rectangle is hyp of its two sides. Measure both ways across: equal diagonals are square.',
      '“Setting out” has “Is it square?”: write what you taped, and it says by how much and which way the corner is out.',
    ],
    tries: [
      [`hyp(12'; 16')`, '20′'],
      [`hyp(7' 10 1/2"; 5' 10 7/8")`, '9′ 10 1⁄8″'],
    ],
  },
  {
    id: 'roof-and-stairs',
    title: 'Rafters, stairs, arches',
    also: 'pitch slope angle roof hip jack stair riser tread going arc radius polygon octagon shape triangle',
    room: '/setting-out',
    steps: [
      'Open “Setting out” and choose the shape. Write the sizes that you know, in any field: all others are worked out.',
      'A touch puts an answer on the slate or the story stick; the drawing can be printed to scale or full size.',
      'A slope is written as 6:12, as degrees or as per cent, and each can be asked for as the other.',
    ],
    tries: [
      ['6:12 to degrees', '26.57°'],
      ['1:50 to degrees', '1.15°'],
      [`15' * 6:12`, '7′ 6″'],
    ],
  },
  {
    id: 'material',
    title: 'How much material, and what it costs',
    also: 'quantities take off order price cost concrete yards square feet board feet sheets buy list estimate',
    room: '/quantities',
    steps: [
      'Areas and volumes come of sizes multiplied; ask for them in the unit you buy by.',
      'The room “Quantities” is the list of it: rows by sections, with waste, packs, prices, tax and totals, on paper or as a workbook.',
    ],
    tries: [
      [`12' * 10' 6" to sq ft`, '126 sq ft'],
      [`20' * 12' * 4" to cu yd`, '2.963 cu yd'],
      [`16 * 2" * 8" * 12' to bf`, '256 bf'],
    ],
  },
  {
    id: 'again',
    title: 'Do the same calculation again and again',
    also: 'jig formula template saved function macro program repeat what if',
    room: '/jigs',
    steps: [
      'A jig is a calculation that is saved with its inputs. A dozen ship: decking, studs, tiles, concrete for posts and others.',
      'On the slate, select lines and touch “Make a jig” to make one of your own; say which figures are inputs.',
      'Run it in its room, look what happens if an input changes, or use it on the bench as a function of your own.',
    ],
    tries: [],
  },
  {
    id: 'speak',
    title: 'Say it with gloves on',
    also: 'voice speech microphone talk dictate hands free spoken',
    room: '/',
    steps: [
      'Open “Speak” at the top of any room, hold the key and say it: “nine foot seven and a quarter plus two foot nine”.',
      'What was heard is shown and read aloud before it counts. Say “no, eight” to put it right, “enter” to keep it.',
    ],
    tries: [],
  },
  {
    id: 'paper',
    title: 'Put the job on paper',
    also: 'print printer pdf sheet report hand over page letter a4 clipboard full size template',
    room: '/',
    steps: [
      'The printer over the slate leads to the job sheet, and so does the list of rooms. Choose what is on it: the slate, the story stick, drawings to scale, quantities with or without prices, lines to write on.',
      'What you see is what is printed and what the PDF holds: black on white, nothing cut between two sheets.',
      'The story stick and every drawing can also be printed at full size, in strips to cut and join. Measure the two lines at the head of such a sheet before you trust it.',
    ],
    tries: [],
  },
  {
    id: 'meter',
    title: 'Measure with a distance meter',
    also: 'laser bluetooth keyboard measuring tool device rangefinder hold measured ten simulated',
    room: '/',
    steps: [
      'Couple the meter as a keyboard. What it measures goes where the cursor stands, in any room: in an empty entry it lands as a line, behind “2 ×” it is what is multiplied, in a field it takes the place of what was there.',
      'Where the cursor stands in no field, you are asked what to do with the size. The last ten are held: see “Measured” in the list of rooms or in the settings, as lines, as marks, or in the entry.',
      'No meter at hand: “Try it without a meter” shows one that types made-up sizes.',
    ],
    tries: [['2 * 3.425 m', '22′ 5 11⁄16″']],
  },
  {
    id: 'lines-in',
    title: 'Take lines from another program',
    also: 'import csv table spreadsheet paste message text list',
    room: '/',
    steps: [
      'Copy the lines or the cells and paste them into the entry: each is shown with how it was read before it lands.',
      'From a file: “Lines from a file” over the slate takes CSV and plain text. Words beside a size are its label, further words its note.',
      'A CSV that the slate saved comes back as it was, references and notes with it.',
    ],
    tries: [],
  },
  {
    id: 'send',
    title: 'Send it to somebody',
    also: 'share export file csv pdf message email backup save copy',
    room: '/jobs',
    steps: [
      'The slate can be copied as text, shared, or saved as CSV; the story stick, a setting-out and the quantities likewise.',
      'In “Jobs”, the dots of a job save all of it as one file. “Open a file” makes a job of it again, or takes it into the open one after showing what would change.',
      'To work on one job together, invite people under “Devices and people”.',
    ],
    tries: [],
  },
  {
    id: 'no-signal',
    title: 'Work with no signal',
    also: 'offline internet network sync lost conflict saved install phone home screen',
    room: '/',
    steps: [
      'Everything works without: what you write is kept on the device at once, and sent when there is a signal.',
      'The word at the top says where it stands: “saved”, or how many changes wait.',
      'Where two people changed the same line apart, both versions are kept and you say which stands.',
    ],
    tries: [],
  },
];
