export const aFullViolinBook = (count: number, planned: number, toFixed: string, megabytes: string) =>
  `A full violin book of ${count} pages (${planned} with a plan, the others off the fingerboard): ${toFixed} s (limit 4), ${megabytes} MB`;

export const long = 'Long';
export const sheet = 'Sheet';
export const musicxmlOfNotesWritten = (notes: number, toFixed: string) =>
  `MusicXML of ${notes} notes written (${toFixed} MB)`;
export const theSameReadAs = 'the same read, as a request';
export const aSheetOfPages = (pages: number) => `a sheet of ${pages} pages laid out`;

export const ofBar1 = (notes: number) => `of ${notes}, bar 1`;
export const threeOctavesUpAnd = 'three octaves up and down';
export const n60Notes = '60 notes';
export const n1000Notes = '1,000 notes';
export const inThePageKey = 'In the page, key changed to new picture (longest task: 0 where none took 50 ms):';
export const coldLoadToA = (readyMs: number) => `Cold load to a usable first view: ${readyMs} ms (limit 1,000)`;
export const scriptOfTheFirst = (scriptKb: number, notationKb: number) =>
  `Script of the first load, gzipped: ${scriptKb} kB (limit 150); notation after it: ${notationKb} kB`;

export const threeOctaves = (instrument: string) => `${instrument}, three octaves`;
export const violinChromatic = 'violin, chromatic';
export const celloThirds = 'cello, thirds';
export const findingsOf400Notes = 'findings of 400 notes';

export const aMajor = 'A major';
export const wren = 'Wren';
export const from100BeatsA = 'From 100 beats a minute on';
export const pathsOfStudents = 'Paths of the made-up students (limits: 30 s, 200 ms):';
export const practiceWithALog = (years: number, sessions: number, each: number) =>
  `Practice, with a log of ${years} years (${sessions} sessions, ${each} repetitions):`;
export const progressOfAnotherStudent = 'Progress of another student drawn';
export const trendsAndNextWeek = 'trends and next week';
export const pageOfStudents = (count: number) => `the page of all students, ${count} of them`;
export const aRepetitionJudgedKept = 'a repetition judged, kept, shown';
export const howManyTimes = 'How many times';
export const yesItWas = 'yes, it was';
export const of40 = (want: number) => `${want} of 40`;
export const metronomeAt60A = (count: number, toFixed: string, toFixed2: string, round: number) =>
  `Metronome at 60 a minute over ${count} clicks: jitter ${toFixed} ms at most, drift ${toFixed2} ms in ten minutes, laid out at least ${round} ms ahead (limit 2 ms)`;

export const growth = (power: string) => `From 500 to 8,000 notes the time grows with the power ${power} of the length`;
export const msForAHundred = (toFixed: string, toExponential: string) =>
  `${toFixed} ms for a hundred million square roots (sum ${toExponential})`;
export const benchThreeOctavesUpAnd = (instrument: string, name: string) =>
  `${instrument}, ${name}, three octaves up and down`;
export const theBestAloneWarm = 'the best alone, warm, another lock each time';
export const theBestAloneEvery = 'the best alone, every second in another key';
export const theBestAloneCold = 'the best alone, cold';
export const withItsWaysWarm = 'with its ways, warm';
export const thirdsTwoOctavesUp = (instrument: string) => `${instrument}, thirds, two octaves up and down, 3 plans`;
export const allFindingsOfA = (length: number) => `all findings of a plan of ${length} notes`;
export const notes3Plans = (length: number) => `${length} notes, 3 plans`;
export const nodeOneCoreThe = (node: string, before: string) =>
  `Node ${node}, one core; the machine's speed before: ${before}`;
export const andAfter = (referenceMs: string) => `and after: ${referenceMs}`;
export const peakMemoryFor1 = (toFixed: string) => `Peak memory for 1,000 notes: ${toFixed} MB (limit 150)`;
export const theMachinesSpeedNow = (referenceMs: string) => `The machine's speed now: ${referenceMs}`;
export const forThePageBuild = 'For the page, build first: npm run build';

export const noFault = 'no fault';
export const faults = (count: number) => `${count} faults`;
export const requests = (requests: number) => `${requests} requests`;
export const hostileRequests = (http: number) => `${http} hostile requests`;
export const hostileRequestsOverHttp = (http: number) => `${http} hostile requests over HTTP`;
export const memoryAfterRequests = (memory: number) => `memory after ${memory} requests`;
export const minutesOfStormEdits = (minutes: number, edits: number) =>
  `${minutes} minutes of storm, ${edits} edits shown as saved`;
export const aStackTrace = (slice: string) => `a stack trace: ${slice}`;
export const letters = (count: number) => `${count} letters`;
export const noPolicy = (method: string, path: string, status: number) => `no policy: ${method} ${path} ${status}`;
export const mbAfterMbAfter = (toFixed: string, floor: number, toFixed2: string, memory: number) =>
  `  ${toFixed} MB after ${floor}, ${toFixed2} MB after ${memory}`;
export const fromToMb = (toFixed: string, toFixed2: string) => `from ${toFixed} to ${toFixed2} MB`;

export const ofFingeringsAmongThe = (count: number, count2: number, count3: number) =>
  `${count} of ${count2} fingerings among the first five, ${count3} first`;
export const ofTheHitsHold = (toFixed: string, draws: number, spread: number) =>
  `${toFixed} % of the hits hold over ${draws} draws of ±${spread} %`;
export const lostIn = (times: number, name: string) => `  lost in ${times}: ${name}`;

export const ofAnswersAreSound = (count: number, count2: number) => `${count} of ${count2} answers are sound`;
export const ofMayBe = (over: string, count: number, planned: number, may: number, name: string) =>
  `${over}${count} of ${planned}, may be ${may}: ${name}`;
export const everyKindWithinIts = 'every kind within its ceiling';
export const kindsOverTheirCeiling = (over: number) => `${over} kinds over their ceiling`;

export const waysHereThere = (count: number, count2: number) => `${count} ways here, ${count2} there`;
export const wayAnotherFingering = (way: number) => `way ${way}: another fingering`;
export const wayCostsHereThere = (way: number, cost: number, cost2: number) =>
  `way ${way}: costs ${cost} here, ${cost2} there`;
export const nameTheOtherCheckout = 'Name the other checkout: npm run same-plans -- ../other';
export const requestsWaysRequestsCome = (count: number, ways: number, count2: number) =>
  `${count} requests, ${ways} ways: ${count2} requests come out differently.`;

export const seed = (seed: string) => `The seed of this night: ${seed}. NIGHTLY=${seed} npm run nightly repeats it.`;
export const step = (step: string) => `\n— ${step} —`;
export const end = (failed: readonly string[], seed: string) =>
  failed.length === 0 ? `All of the night passed (seed ${seed}).` : `Failed with seed ${seed}: ${failed.join(', ')}.`;

export const heavyBodies = 'Heavy bad bodies, four at a time';
export const heavyTaken = (path: string, status: number) => `${path} answered a heavy bad body with ${status}`;
export const pagesTook = (calm: number, meanwhile: number, small: number) =>
  `  pages, 95 of 100: ${calm.toFixed(0)} ms in calm, ${meanwhile.toFixed(0)} ms meanwhile; a small plan ${small.toFixed(0)} ms`;
export const pagesWait = (ms: number) => `pages wait ${ms.toFixed(0)} ms longer`;
export const smallPlanWaits = (ms: number) => `a small plan takes ${ms.toFixed(0)} ms`;
export const trendsSeed = (seed: number) => `Trends of made-up students, seed ${seed}`;
export const fiveForEither = '5 % for either question';
export const middleWithin = 'middle within';
export const nothingPlanted = 'nothing, a true player';
