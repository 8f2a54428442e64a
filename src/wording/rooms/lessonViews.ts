export const happenedText = {
  nothingIsInThe: 'Nothing is in the log.',
  onInAll: (counted: string, counted2: string, counted3: string) => `${counted} on ${counted2}, ${counted3} in all.`,
  goal: (goal: string) => `Goal: ${goal}`,
  asks: (question: string) => `Asks: ${question}`,
  of: (goal: number) => ` of ${goal}`,
  toReach: (goal: number) => `, ♩ = ${goal} to reach`,
  notWorkedAt: 'not worked at',
};

export const lessonText = {
  lesson: 'Lesson',
  theLesson: 'The lesson',
  since: (day: string) => `Since ${day}`,
  whatHappened: 'What happened',
  whatTheLogSays: 'What the log says',
  nextWeek: 'Next week',
  keptChangesAreSaved: 'Kept; changes are saved as you make them.',
  keepForNextWeek: 'Keep for next week',
  minutesADay: 'Minutes a day',
  assignedWithTheTempo: 'Assigned, with the tempo to reach',
  tempoToReachIn: (planTitle: string) => `Tempo to reach in ${planTitle}`,
  thisStudentHasNo: 'This student has no plan yet.',
  theTeachersWords: 'The teacher’s words',
};

export const weekItemsText = {
  eachDay: 'Each day',
  moreThanThereIs: ': more than there is',
  of: (counted: string, minutes: number, is: string) => `${counted} of ${minutes}${is}`,
  proposeAgain: 'Propose again',
  minutesFor: (words: string) => `Minutes for ${words}`,
  wordsFor: (words: string) => `Words for ${words}`,
  earlier: (words: string) => `${words}: earlier`,
  later: (words: string) => `${words}: later`,
  leaveOut: (words: string) => `Leave out: ${words}`,
};

export const chartsText = {
  ofToReach: (goal: number) => `, of ${goal} to reach`,
  tempoReachedBeatsA: (last: number, reach: string) => `Tempo reached: ${last} beats a minute last${reach}`,
  goal: (goal: number) => `goal ${goal}`,
  beatsAMinute: 'beats a minute',
  minutesPractisedThisWeek: (now: number) => `Minutes practised: ${now} this week`,
  nothingWasPractisedIn: 'Nothing was practised in this time.',
};

export const progressText = {
  theTempoChart: 'The tempo chart',
  theChartOfMinutes: 'The chart of minutes',
  eightWeeks: 'eight weeks',
  fiveYears: 'five years',
  progress: 'Progress',
  whatTheLastSix: 'What the last six weeks say',
  due: (counted: string, counted2: string) => `${counted}, ${counted2} due.`,
  minutesByWeek: 'Minutes by week',
  whichWayTheFingers: 'Which way the fingers lean',
  byKindOfPlace: 'By kind of place',
  tempoReached: 'Tempo reached',
  lookedBackOn: 'Looked back on',
  plan: 'Plan',
  noTempoWasReached: 'No tempo was reached yet. Practise a metronome ladder, and it shows here.',
};
