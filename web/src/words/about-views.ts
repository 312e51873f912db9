/** What a view is for, in short: shown by the view itself, and written into the guide. */
export interface AboutView {
  /** Its address within a shop. */
  readonly path: string;
  readonly name: string;
  readonly purpose: string;
  /** What to do first. */
  readonly first: string;
  readonly terms: readonly { readonly term: string; readonly means: string }[];
}

export const ABOUT_VIEWS: readonly AboutView[] = [
  {
    path: 'floor',
    name: 'Floor',
    purpose:
      'Draw the room to scale, place the machines and the collector in it, and lay out the ducts. Lengths, elbows and wyes are derived from the drawing.',
    first:
      'Enter the width and depth of the room, place the collector and the machines, then press Route ducts for suggestions, or draw the ducts yourself.',
    terms: [
      { term: 'Main', means: 'the shared pipe that branches join on the way to the collector' },
      { term: 'Branch, drop', means: 'the pipe from one machine to the main' },
      {
        term: 'Clearance ahead, behind',
        means: 'the room a board needs on either side of a machine',
      },
      { term: 'Hose slack', means: 'how much longer a hose is than the straight line it spans' },
    ],
  },
  {
    path: 'collector',
    name: 'Collector, Compare',
    purpose:
      'Compare up to three candidates with the collector in the shop, on your own ducts: airflow, current, filter, height, noise and cost.',
    first: 'Press Add a candidate, then change its blower, separator or exhaust.',
    terms: [
      {
        term: 'Separation efficiency',
        means: 'the share of the dust the separator catches before the filter',
      },
      { term: 'Face velocity', means: 'airflow divided by filter area (the air-to-cloth ratio)' },
      { term: 'Penetration', means: 'the share of fine dust that passes the filter' },
    ],
  },
  {
    path: 'collector/elevation',
    name: 'Collector, Elevation',
    purpose:
      'See how bin, separator, blower and filter stand on each other, whether they fit under the ceiling, and what has to be lifted to empty the bin.',
    first: 'Press a part of the drawing and enter its size. An empty field shows a typical value.',
    terms: [
      {
        term: 'Bin removal',
        means: 'whether the bin is lowered from the lid, or the parts on it are lifted off',
      },
      { term: 'Lip', means: 'how far the lid reaches down over the rim of the bin' },
      { term: 'Cleat', means: 'the board on the wall that carries the blower’s bracket' },
    ],
  },
  {
    path: 'collector/joints',
    name: 'Collector, Joints',
    purpose:
      'Find out which end goes inside which at every joint, how large the gap is, and what closes it.',
    first: 'Measure the ends with a caliper and type over the sizes that are wrong.',
    terms: [
      {
        term: 'Clearance',
        means:
          'the difference between the inside diameter of one end and the outside diameter of the other',
      },
      { term: 'Nominal size', means: 'the size a pipe is sold by; its true diameters differ' },
    ],
  },
  {
    path: 'collector/noise',
    name: 'Collector, Noise',
    purpose:
      'Add up the daily noise dose from sound readings, and estimate how loud each candidate would be.',
    first: 'Hold a sound meter at ear height where you work and add what it shows.',
    terms: [
      { term: 'dB(A)', means: 'sound level weighted the way the ear hears it' },
      {
        term: 'Daily dose',
        means: 'the share of the exposure NIOSH recommends as the most in a day',
      },
    ],
  },
  {
    path: 'collector/test',
    name: 'Collector, Field test',
    purpose: 'Measure your own blower’s fan curve with one gate, a manometer and a flow meter.',
    first:
      'Press Start a field test, then open the gate in six or more steps and read flow and suction at each.',
    terms: [
      { term: 'Fan curve', means: 'the pressure the blower delivers at each airflow' },
      { term: 'Filter loading', means: 'how many times its clean pressure drop the filter has' },
    ],
  },
  {
    path: 'air',
    name: 'Air',
    purpose:
      'See the airflow at every drop against what its machine requires, and where the pressure goes on the way to the blower.',
    first:
      'Choose a drop in the table and read its pressure ladder and its issues. Change any number at the left and watch the rest follow.',
    terms: [
      {
        term: 'Static pressure',
        means:
          'the pressure below the room’s, as a manometer shows it at a tap in the wall of the duct',
      },
      { term: 'Velocity pressure', means: 'the pressure equivalent of the air’s speed, ρV²/2' },
      { term: 'Hood SP', means: 'hood static pressure: the suction just behind the hood' },
      {
        term: 'Pressure ladder',
        means: 'the pressure profile: static pressure step by step from the hood to the exhaust',
      },
      {
        term: 'Operating point',
        means: 'the airflow and pressure at which the fan curve and the system curve cross',
      },
      {
        term: 'Minimum transport velocity',
        means: 'the least air velocity that carries chips without settling',
      },
      {
        term: 'As designed, as found',
        means:
          'sealed and with a clean filter, or with the leaks and filter loading you believe in',
      },
    ],
  },
  {
    path: 'log',
    name: 'Log',
    purpose:
      'Log the readings you take at the drops and compare them with the model. What they have in common points to a leak or a restriction. Press a reading to see how its number became an airflow, or to strike it out.',
    first: 'Read each drop three times with only its gate open.',
    terms: [
      { term: 'Reading', means: 'one measurement at one test point, with its repeats' },
      { term: 'Test point', means: 'a place you always measure at, such as a drop' },
      {
        term: 'Absolute, relative',
        means:
          'absolute says how much air flows; relative gives only percentages of other readings at the same place with the same meter, for a meter you do not trust',
      },
      {
        term: 'Traverse',
        means:
          'velocities read at set points across the pipe, whose mean is the mean velocity (ISO 3966)',
      },
      { term: 'Uncertainty, ±', means: 'the range that holds the true value 95 times in 100' },
      {
        term: 'Over range',
        means: 'the meter could not show the value; it is at least the end of its range',
      },
    ],
  },
  {
    path: 'log/round',
    name: 'Log, Guided round',
    purpose:
      'Read every drop in one walk, on a phone beside the machine: it says which gate to open and what to expect, and keeps what you typed if the phone falls asleep.',
    first: 'Press Start the round, open the gate it names, and type what the meter shows.',
    terms: [
      { term: 'Round', means: 'one walk with the meter, its readings and the state of the shop' },
      { term: 'Repeat', means: 'the same reading taken again: three show how steady it is' },
      { term: 'Over, under', means: 'the meter stopped at the upper or lower end of its range' },
    ],
  },
  {
    path: 'log/history',
    name: 'Log, History',
    purpose:
      'See what every change of the shop was worth, by the readings before and after it, compare one day with another or with the model, far drops with near ones, and follow a test point, the filter, the separator or the noise over time.',
    first:
      'Read the drops, change one thing, read them again, then press Add a change and enter what it was and what it cost.',
    terms: [
      {
        term: 'No significant difference',
        means: 'the change is smaller than what the readings could show',
      },
      {
        term: '95 % of the time',
        means: 'the true change lies in the interval 95 times in 100',
      },
      { term: 'At least, at most', means: 'the meter reached an end of its range' },
    ],
  },
  {
    path: 'log/points',
    name: 'Log, Test points',
    purpose:
      'Say where you measure and how the meter is held there: every drop, taps on the mains and at the collector, anywhere in the room.',
    first:
      'Open a drop, measure its inside diameter and the straight duct ahead, and note the jig that holds the meter.',
    terms: [
      { term: 'Tap', means: 'a small hole in the wall of the duct for a manometer’s tube' },
      { term: 'Straight ahead', means: 'the straight duct between the meter and the last bend' },
      { term: 'Standoff', means: 'how far the meter is from the mouth of the port' },
      { term: 'Jig', means: 'what holds the meter at the same place every time' },
    ],
  },
  {
    path: 'log/instruments',
    name: 'Log, Instruments',
    purpose:
      'Describe the meters you read with: unit, range, accuracy, head, calibration. Readings are corrected and judged by it.',
    first: 'Press Add a meter and enter what its sheet says.',
    terms: [
      {
        term: 'Accuracy',
        means: 'how far it may be off, as a share of what it shows, and in digits',
      },
      {
        term: 'Set to a pipe of',
        means: 'the diameter a meter multiplies by when it shows CFM; the true one is used instead',
      },
      {
        term: 'Maximum held',
        means: 'the meter shows the highest value of some seconds, a few percent above the mean',
      },
      { term: 'Calibration', means: 'what the meter shows against what is true, with its date' },
    ],
  },
  {
    path: 'log/weighings',
    name: 'Log, Weighings',
    purpose:
      'Weigh what comes out of the bins: the share the separator catches, and how many pounds an hour the machines make.',
    first: 'Empty the separator’s bin, weigh it, and enter the weight and the machine hours.',
    terms: [
      {
        term: 'Separation efficiency',
        means: 'the share of what arrives that ends in the separator’s bin',
      },
      { term: 'Machine hours', means: 'how long machines ran, all of them together' },
    ],
  },
  {
    path: 'log/table',
    name: 'Log, Import and export',
    purpose:
      'Bring in readings you kept in a spreadsheet, and save all readings as a table another program can open.',
    first:
      'Save your spreadsheet as CSV, choose the file, and check what each column is taken to hold.',
    terms: [
      {
        term: 'CSV',
        means: 'a table as plain text: a line for each row, cells separated by commas',
      },
      { term: 'Header', means: 'the first line, which names the columns' },
    ],
  },
  {
    path: 'leaks',
    name: 'Leaks',
    purpose:
      'See what all readings since the latest change say is wrong, how sure that is, where it may be, and which reading would tell most.',
    first:
      'Log a reading at every drop with only its gate open, then take the reading this view asks for.',
    terms: [
      {
        term: 'Suspect',
        means:
          'a place where something may be wrong; together the suspects hold it nine times in ten',
      },
      {
        term: 'Leakage class',
        means: 'CFM that 100 ft² of duct let in at 1 in. of water: 3 is well sealed, 30 is not',
      },
      {
        term: 'Reading that speaks against',
        means: 'one that fits better if nothing is wrong than if the first suspect is at fault',
      },
    ],
  },
  {
    path: 'improve',
    name: 'Improve',
    purpose:
      'See what is worth doing next, what it brings at each drop, what it costs, and when to keep what you have.',
    first:
      'Read the first sentence; put it into the design to see it everywhere, or type a budget and see what that buys.',
    terms: [
      {
        term: 'Point',
        means:
          'one per cent of what the worst drop needs; money, hours and noise are weighed against it',
      },
      {
        term: 'Package',
        means: 'improvements made together, solved as one: what one takes from another counts',
      },
      {
        term: 'Has enough',
        means: 'how likely a drop gets the airflow it needs, by what the model is unsure of',
      },
    ],
  },
  {
    path: 'improve/trays',
    name: 'What if',
    purpose:
      'Try edits in up to four trays, side by side, beside the shop: every drop, where the pressure goes, and the plan, before and after.',
    first:
      'Press New tray, change what you like in any view, then press Compare. Keep the tray, leave it for later, or throw it away.',
    terms: [
      {
        term: 'Tray',
        means: 'a copy of the shop’s design to try things in; the shop itself stays as it is',
      },
      {
        term: 'Keep in the shop',
        means:
          'makes in the shop what the tray changed, as one step to undo; other changes made there since stay',
      },
    ],
  },
  {
    path: 'improve/report',
    name: 'Report',
    purpose:
      'Hand the shop on: what every drop gets, where the pressure goes, the issues, the plan and what to do next, on paper.',
    first: 'Press Print; the browser prints it, or saves it as PDF.',
    terms: [
      {
        term: 'As found',
        means: 'in the condition you believe it is in, each drop with only its own gate open',
      },
    ],
  },
  {
    path: 'build',
    name: 'Parts',
    purpose:
      'Take a list to the store: every pipe, fitting, gate, hose and hanger that the ducts want, counted from the design.',
    first: 'Tick off what you have; the total is what is left to buy.',
    terms: [
      {
        term: 'Length of stock',
        means:
          'pipe as it is sold, from which the cut list cuts the pieces; the list counts whole lengths',
      },
      {
        term: 'Wye',
        means: 'named by its main, then its branch, then the angle between them',
      },
    ],
  },
  {
    path: 'build/cuts',
    name: 'Cut list',
    purpose:
      'Take a list to the saw: every straight piece between its fittings, cut from as few lengths of pipe as can be found.',
    first:
      'Measure one of each of your fittings first: what they take of a run is an estimate. Then cut, and tick off each piece.',
    terms: [
      {
        term: 'Insertion depth',
        means: 'how far pipe and fitting go into each other; a crimped end adds it to the piece',
      },
      {
        term: 'Kerf',
        means: 'what the saw takes of the length at every cut',
      },
    ],
  },
  {
    path: 'build/assembly',
    name: 'Assembly',
    purpose:
      'Take a list up the ladder: every joint from the collector outward, what goes inside what, and what closes it.',
    first: 'Tick each joint off as dry-fitted; seal it once every drop reaches its machine.',
    terms: [
      {
        term: 'Dry fit',
        means:
          'put together without tape or screws, so that a piece cut wrong can still be cut again',
      },
      {
        term: 'Opens again',
        means:
          'a joint that has to come apart for cleaning, emptying or moving a machine: never silicone there',
      },
    ],
  },
  {
    path: 'build/drawings',
    name: 'Drawings',
    purpose:
      'Hang the ducts where they are drawn: every piece by its number, hangers, heights from the floor and distances from the corners.',
    first: 'Save a sheet as PDF and print it at 100 %; the ruler at its foot says whether it is.',
    terms: [
      {
        term: 'Isometric',
        means: 'a drawing of the ducts in which lengths along all three directions are true',
      },
      {
        term: 'Centerline',
        means: 'the line along the middle of a duct; every length and height is of it',
      },
    ],
  },
  {
    path: 'build/templates',
    name: 'Templates',
    purpose:
      'Cut a pipe so that it fits a round drum or another pipe, and the hole it goes into: two templates at true size.',
    first:
      'Type outside diameters as a caliper or a tape around shows them. Print at 100 %, and check the ruler before you cut.',
    terms: [
      {
        term: 'Offset',
        means:
          'between the axes of pipe and drum; tangential is as far out as the pipe’s wall runs along the drum’s',
      },
      {
        term: 'Wrap-around template',
        means: 'wound around the outside of pipe or drum, its edge is the line to cut along',
      },
    ],
  },
  {
    path: 'build/shop-made',
    name: 'Shop-made parts',
    purpose:
      'Build what the collector needs from sheet goods: a lid, a baffle, a filter box, shelves, lifts, an enclosure, a blast gate. Every size follows the collector until you type your own.',
    first:
      'Choose what to make, type the sizes you measured, and look at what it has to clear and carry.',
    terms: [
      {
        term: 'Parts drawn apart',
        means: 'the whole pulled apart along its own lines; letters are those of the lists below',
      },
      {
        term: 'Kerf',
        means: 'what the saw takes of the board with each cut',
      },
      {
        term: 'On your list',
        means: 'what you are going to make: its sheet goods can be laid out together',
      },
      {
        term: 'Cleat',
        means: 'a board screwed to the studs of a wall, to which something heavy is fastened',
      },
    ],
  },
  {
    path: 'build/switches',
    name: 'Gate switches',
    purpose:
      'Have opening a gate start the blower: which gates get a switch, how long it runs on, and a list for the electrician.',
    first: 'Try it with simulated switches; then print the list and hand it to an electrician.',
    terms: [
      {
        term: 'Stop delay',
        means: 'how long the blower runs on after the last gate is shut, until the ducts are clear',
      },
      {
        term: 'Contactor',
        means: 'the switch that carries the motor’s current, worked by a small coil',
      },
    ],
  },
  {
    path: 'build/labels',
    name: 'Labels',
    purpose:
      'Mark what was built: which machine a gate is opened for, the number of every piece of pipe, how full the bin may get.',
    first: 'Choose what to print, print it on label sheets or paper, and stick it on.',
    terms: [
      {
        term: 'Max fill',
        means: 'the line at which the bin is emptied, by the share set under Upkeep',
      },
      {
        term: 'Piece',
        means: 'a straight length of pipe, by the number it has on the cut list and the drawings',
      },
    ],
  },
  {
    path: 'upkeep',
    name: 'Upkeep',
    purpose:
      'Look at it before you start: how full the bin is, when the filter is due, what has to be sealed, read or looked over.',
    first: 'Say how much the blower runs in a week; press Done today whenever something is done.',
    terms: [
      {
        term: 'Bulking factor',
        means: 'how many times the room of the wood its chips take up; your emptyings correct it',
      },
      {
        term: 'Due',
        means:
          'by what was read or done, where there is enough of it; else by the model or the calendar, which is said',
      },
      {
        term: 'Light, smoke and hand test',
        means:
          'a lamp beside the running filter shows dust that comes through; smoke or a wet hand at a joint shows air that is drawn in',
      },
    ],
  },
];

/** What the view at an address of a shop is about. */
export const aboutView = (pathname: string): AboutView | undefined =>
  ABOUT_VIEWS.find(({ path }) => pathname.split('/').slice(3).join('/') === path);
