export function validatorSource(): string;
