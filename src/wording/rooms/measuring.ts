export const benchBookText = {
  aFullViolinBook: (count: number, planned: number, toFixed: string, megabytes: string) =>
    `A full violin book of ${count} pages (${planned} with a plan, the others off the fingerboard): ${toFixed} s (limit 4), ${megabytes} MB`,
};

export const benchFilesText = {
  long: 'Long',
  sheet: 'Sheet',
  musicxmlOfNotesWritten: (notes: number, toFixed: string) => `MusicXML of ${notes} notes written (${toFixed} MB)`,
  theSameReadAs: 'the same read, as a request',
  aSheetOfPages: (pages: number) => `a sheet of ${pages} pages laid out`,
};

export const benchPageText = {
  ofBar1: (notes: number) => `of ${notes}, bar 1`,
  threeOctavesUpAnd: 'three octaves up and down',
  n60Notes: '60 notes',
  n1000Notes: '1,000 notes',
  inThePageKey: 'In the page, key changed to new picture (longest task: 0 where none took 50 ms):',
  coldLoadToA: (readyMs: number) => `Cold load to a usable first view: ${readyMs} ms (limit 1,000)`,
  scriptOfTheFirst: (scriptKb: number, notationKb: number) =>
    `Script of the first load, gzipped: ${scriptKb} kB (limit 150); notation after it: ${notationKb} kB`,
};

export const benchPairsText = {
  threeOctaves: (instrument: string) => `${instrument}, three octaves`,
  violinChromatic: 'violin, chromatic',
  celloThirds: 'cello, thirds',
  findingsOf400Notes: 'findings of 400 notes',
};

export const benchPracticeText = {
  aMajor: 'A major',
  wren: 'Wren',
  from100BeatsA: 'From 100 beats a minute on',
  practiceWithALog: (years: number, sessions: number, each: number) =>
    `Practice, with a log of ${years} years (${sessions} sessions, ${each} repetitions):`,
  progressOfAnotherStudent: 'Progress of another student drawn',
  trendsAndNextWeek: 'trends and next week',
  aRepetitionJudgedKept: 'a repetition judged, kept, shown',
  howManyTimes: 'How many times',
  of40: (want: number) => `${want} of 40`,
  metronomeAt60A: (count: number, toFixed: string, toFixed2: string, round: number) =>
    `Metronome at 60 a minute over ${count} clicks: jitter ${toFixed} ms at most, drift ${toFixed2} ms in ten minutes, laid out at least ${round} ms ahead (limit 2 ms)`,
};

export const benchText = {
  growth: (power: string) => `From 500 to 8,000 notes the time grows with the power ${power} of the length`,
  msForAHundred: (toFixed: string, toExponential: string) =>
    `${toFixed} ms for a hundred million square roots (sum ${toExponential})`,
  threeOctavesUpAnd: (instrument: string, name: string) => `${instrument}, ${name}, three octaves up and down`,
  theBestAloneWarm: 'the best alone, warm, another lock each time',
  theBestAloneEvery: 'the best alone, every second in another key',
  theBestAloneCold: 'the best alone, cold',
  withItsWaysWarm: 'with its ways, warm',
  thirdsTwoOctavesUp: (instrument: string) => `${instrument}, thirds, two octaves up and down, 3 plans`,
  allFindingsOfA: (length: number) => `all findings of a plan of ${length} notes`,
  notes3Plans: (length: number) => `${length} notes, 3 plans`,
  nodeOneCoreThe: (node: string, before: string) => `Node ${node}, one core; the machine's speed before: ${before}`,
  andAfter: (referenceMs: string) => `and after: ${referenceMs}`,
  peakMemoryFor1: (toFixed: string) => `Peak memory for 1,000 notes: ${toFixed} MB (limit 150)`,
  theMachinesSpeedNow: (referenceMs: string) => `The machine's speed now: ${referenceMs}`,
  forThePageBuild: 'For the page, build first: npm run build',
};

export const faultsText = {
  noFault: 'no fault',
  faults: (count: number) => `${count} faults`,
  requests: (requests: number) => `${requests} requests`,
  hostileRequests: (http: number) => `${http} hostile requests`,
  hostileRequestsOverHttp: (http: number) => `${http} hostile requests over HTTP`,
  memoryAfterRequests: (memory: number) => `memory after ${memory} requests`,
  minutesOfStormEdits: (minutes: number, edits: number) => `${minutes} minutes of storm, ${edits} edits shown as saved`,
  aStackTrace: (slice: string) => `a stack trace: ${slice}`,
  letters: (count: number) => `${count} letters`,
  noPolicy: (method: string, path: string, status: number) => `no policy: ${method} ${path} ${status}`,
  mbAfterMbAfter: (toFixed: string, floor: number, toFixed2: string, memory: number) =>
    `  ${toFixed} MB after ${floor}, ${toFixed2} MB after ${memory}`,
  fromToMb: (toFixed: string, toFixed2: string) => `from ${toFixed} to ${toFixed2} MB`,
};

export const robustText = {
  ofFingeringsAmongThe: (count: number, count2: number, count3: number) =>
    `${count} of ${count2} fingerings among the first five, ${count3} first`,
  ofTheHitsHold: (toFixed: string, draws: number, spread: number) =>
    `${toFixed} % of the hits hold over ${draws} draws of ±${spread} %`,
  lostIn: (times: number, name: string) => `  lost in ${times}: ${name}`,
};

export const sweepText = {
  ofAnswersAreSound: (count: number, count2: number) => `${count} of ${count2} answers are sound`,
  ofMayBe: (over: string, count: number, planned: number, may: number, name: string) =>
    `${over}${count} of ${planned}, may be ${may}: ${name}`,
  everyKindWithinIts: 'every kind within its ceiling',
  kindsOverTheirCeiling: (over: number) => `${over} kinds over their ceiling`,
};

export const samePlansText = {
  waysHereThere: (count: number, count2: number) => `${count} ways here, ${count2} there`,
  wayAnotherFingering: (way: number) => `way ${way}: another fingering`,
  wayCostsHereThere: (way: number, cost: number, cost2: number) => `way ${way}: costs ${cost} here, ${cost2} there`,
  nameTheOtherCheckout: 'Name the other checkout: npm run same-plans -- ../other',
  requestsWaysRequestsCome: (count: number, ways: number, count2: number) =>
    `${count} requests, ${ways} ways: ${count2} requests come out differently.`,
};

export const nightlyText = {
  seed: (seed: string) => `The seed of this night: ${seed}. NIGHTLY=${seed} npm run nightly repeats it.`,
  step: (step: string) => `\n— ${step} —`,
  end: (failed: readonly string[], seed: string) =>
    failed.length === 0 ? `All of the night passed (seed ${seed}).` : `Failed with seed ${seed}: ${failed.join(', ')}.`,
};
