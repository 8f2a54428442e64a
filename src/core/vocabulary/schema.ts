import { Type, type Static, type TSchema } from '@sinclair/typebox';

/*
 * Words to describe data with: a description gives the type, the JSON Schema and, from that, the validator. Unions are written so that a validator
 * says one thing about one mistake, not one for each branch not taken.
 */

type Immutable<T> = T extends (infer Item)[]
  ? number extends T['length']
    ? readonly Immutable<Item>[]
    : { readonly [At in keyof T]: Immutable<T[At]> }
  : T extends object
    ? { readonly [Key in keyof T]: Immutable<T[Key]> }
    : T;

/** The type that a description gives: nothing of it is changed in place. */
export type Described<T extends TSchema> = Immutable<Static<T>>;

/** One of some names or numbers. */
export function oneOf<const Names extends readonly (string | number)[]>(names: Names) {
  return Type.Unsafe<Names[number]>({ enum: [...names] });
}

/** One of several objects, told apart by one of their fields. */
export function tagged<Options extends TSchema[]>(field: string, options: [...Options]) {
  return Type.Unsafe<Static<Options[number]>>({
    type: 'object',
    discriminator: { propertyName: field },
    required: [field],
    oneOf: options,
  });
}

/** The second where the first holds, else the third. */
export function either<Then extends TSchema, Else extends TSchema>(when: object, then: Then, otherwise: Else) {
  return Type.Unsafe<Static<Then> | Static<Else>>({ if: when, then, else: otherwise });
}

/** An object in which no other fields may stand: a misspelt one is refused. */
export function closed<T extends Parameters<typeof Type.Object>[0]>(fields: T) {
  return Type.Object(fields, { additionalProperties: false });
}

export { Type };
