/** The public face of the path: what a plan asks, and what comes next. */
export { skillsOf, type Skill } from './skills';
export { goalAsked, knownIn, pathFor, pathIssues, pathOver, stepsToPlan, type Path, type PathStep } from './pathFor';
export { type Unreachable } from './goal';
export { taughtKeys } from './range';
export { plannedStep, type PlannedStep } from './steps';
export { standingOf, type PlanSkills, type SkillStanding, type Tried } from './standing';
