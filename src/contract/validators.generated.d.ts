import type { ErrorObject } from 'ajv';

interface Validator {
  (data: unknown): boolean;
  errors?: ErrorObject[] | null;
}
export const validRequest: Validator;
export const validResponse: Validator;
export const validPlan: Validator;
export const validStudent: Validator;
export const validBrief: Validator;
export const validSession: Validator;
export const validRepetition: Validator;
export const validCard: Validator;
export const validAnswer: Validator;
export const validLesson: Validator;
export const validBook: Validator;
