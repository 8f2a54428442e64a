export const nothingIsInThe = 'Nothing is in the log.';
export const onInAll = (counted: string, counted2: string, counted3: string) =>
  `${counted} on ${counted2}, ${counted3} in all.`;
export const goal = (goal: string) => `Goal: ${goal}`;
export const asks = (question: string) => `Asks: ${question}`;
export const of = (goal: number) => ` of ${goal}`;
export const toReach = (goal: number) => `, ♩ = ${goal} to reach`;
export const notWorkedAt = 'not worked at';

export const lesson = 'Lesson';
export const theLesson = 'The lesson';
export const since = (day: string) => `Since ${day}`;
export const whatHappened = 'What happened';
export const whatTheLogSays = 'What the log says';
export const nextWeek = 'Next week';
export const keptChangesAreSaved = 'Kept; changes are saved as you make them.';
export const keepForNextWeek = 'Keep for next week';
export const minutesADay = 'Minutes a day';
export const assignedWithTheTempo = 'Assigned, with the tempo to reach';
export const tempoToReachIn = (planTitle: string) => `Tempo to reach in ${planTitle}`;
export const thisStudentHasNo = 'This student has no plan yet.';
export const theTeachersWords = 'The teacher’s words';

export const eachDay = 'Each day';
export const moreThanThereIs = ': more than there is';
export const weekItemsOf = (counted: string, minutes: number, is: string) => `${counted} of ${minutes}${is}`;
export const proposeAgain = 'Propose again';
export const minutesFor = (words: string) => `Minutes for ${words}`;
export const wordsFor = (words: string) => `Words for ${words}`;
export const earlier = (words: string) => `${words}: earlier`;
export const later = (words: string) => `${words}: later`;
export const leaveOut = (words: string) => `Leave out: ${words}`;

export const ofToReach = (goal: number) => `, of ${goal} to reach`;
export const tempoReachedBeatsA = (last: number, reach: string) => `Tempo reached: ${last} beats a minute last${reach}`;
export const chartsGoal = (goal: number) => `goal ${goal}`;
export const beatsAMinute = 'beats a minute';
export const minutesPractisedThisWeek = (now: number) => `Minutes practised: ${now} this week`;
export const nothingWasPractisedIn = 'Nothing was practised in this time.';

export const theTempoChart = 'The tempo chart';
export const theChartOfMinutes = 'The chart of minutes';
export const twoWeeks = 'two weeks';
export const heardByTheMicrophone = 'Heard by the microphone';
export const heardTries = (takes: string, notes: string) => `${takes}, ${notes}.`;
export const heardLast = 'What was heard last';
export const columnsOfHeard = ['week', 'notes', 'they lean', 'half of them lie within'];
export const weeksAgo = (weeks: number) =>
  weeks === 0 ? 'this week' : weeks === 1 ? 'the week before' : `${weeks} weeks ago`;
export const leaning = (mm: number) => {
  const size = Math.abs(mm).toFixed(1);
  return size === '0.0' ? 'neither way' : `${size} mm towards the ${mm > 0 ? 'bridge' : 'nut'}`;
};
export const eightWeeks = 'eight weeks';
export const fiveYears = 'five years';
export const progress = 'Progress';
export const whatTheLastSix = 'What the last half year says';
export const due = (counted: string, counted2: string) => `${counted}, ${counted2} due.`;
export const minutesByWeek = 'Minutes by week';
export const whichWayTheFingers = 'Which way the fingers lean';
export const byKindOfPlace = 'By kind of place';
export const tempoReached = 'Tempo reached';
export const lookedBackOn = 'Looked back on';
export const plan = 'Plan';
export const noTempoWasReached = 'No tempo was reached yet. Practise a metronome ladder, and it shows here.';

export const lessonsInTheFuture = (counted: string) =>
  `${counted} dated in the future: kept, and not counted before that day. If the clock of this computer was wrong when it was made, make it again today.`;

export const minutesFromTo = (least: number, most: number) => `Give minutes from ${least} to ${most}.`;
export const beatsFromTo = (least: number, most: number) => `Give a tempo from ${least} to ${most}.`;
export const theWeekOnPaper = 'The week on paper';
export const noLessonYet = 'No lesson is kept yet: the week is made in the lesson.';
export const toTheLesson = 'To the lesson';
export const thePracticeFile = 'Practice file';
export const printTheWeek = 'Print the week';
export const beforeLessons = 'Before lessons';
export const noStudents = 'No students yet. They are made in the Studio.';
export const columnsOfStudents = [
  'Student',
  'The last seven days',
  'Minutes',
  'Tempo reached',
  'First trend',
  'Question',
  'Cards due',
] as const;
export const nameless = 'No name yet';
export const noDay = 'no day of the week set';
export const daysOfSeven = (days: number) => `${days} of 7 days`;
export const minutesOf = (minutes: number, asked: number) => `${minutes} of ${asked} min`;
export const noTempo = 'not reached yet';
export const ofGoal = (goal: number) => ` of ${goal}`;
export const earlierLesson = 'Earlier lesson';
export const laterLesson = 'Later lesson';
export const weekFrom = 'Week from';
export const dayByDay = 'Day by day, minutes';
