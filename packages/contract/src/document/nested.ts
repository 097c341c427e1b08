import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsDefined,
  IsObject,
  ValidateBy,
  ValidateIf,
  ValidateNested,
} from 'class-validator';

type Class = new () => object;

/** A list whose entries are objects: a list inside it would be checked entry by entry. */
function EntriesAreObjects(): PropertyDecorator {
  return ValidateBy({
    name: 'entriesAreObjects',
    validator: {
      validate: (value: unknown) =>
        !Array.isArray(value) ||
        value.every(
          (entry) => typeof entry === 'object' && entry !== null && !Array.isArray(entry),
        ),
      defaultMessage: () => 'every entry must be an object',
    },
  });
}

/** A nested object that is checked against its class. */
export function Nested(of: () => Class): PropertyDecorator {
  return (target, key) => {
    IsDefined({ message: 'must be given' })(target, key);
    IsObject({ message: 'must be an object' })(target, key);
    Type(of)(target, key);
    ValidateNested()(target, key);
  };
}

/** Present, and neither a list nor plain text. */
const IsObjectOrNull = (): PropertyDecorator =>
  ValidateBy({
    name: 'present',
    validator: {
      validate: (value: unknown) =>
        value === null || (typeof value === 'object' && !Array.isArray(value)),
      defaultMessage: () => 'must be an object or null',
    },
  });

/** A nested object or null. */
export function NestedOrNull(of: () => Class): PropertyDecorator {
  return (target, key) => {
    // Null skips every check of the property; a missing one does not.
    ValidateIf((_owner, value: unknown) => value !== null)(target, key);
    IsObjectOrNull()(target, key);
    Type(of)(target, key);
    ValidateNested()(target, key);
  };
}

/** A list of nested objects of one class. */
export function ListOf(of: () => Class, size: { min?: number; max: number }): PropertyDecorator {
  return (target, key) => {
    IsArray({ message: 'must be a list' })(target, key);
    ArrayMinSize(size.min ?? 0)(target, key);
    ArrayMaxSize(size.max)(target, key);
    EntriesAreObjects()(target, key);
    Type(of)(target, key);
    ValidateNested({ each: true })(target, key);
  };
}

/** A list of nested objects told apart by a property. */
export function ListOfKinds(
  property: string,
  kinds: Record<string, Class>,
  size: { min?: number; max: number },
): PropertyDecorator {
  // Made once: each class registers its checks for good.
  const unknown = unknownKind(property, Object.keys(kinds).join(', '));
  return (target, key) => {
    IsArray({ message: 'must be a list' })(target, key);
    ArrayMinSize(size.min ?? 0)(target, key);
    ArrayMaxSize(size.max)(target, key);
    EntriesAreObjects()(target, key);
    Type(() => unknown, {
      keepDiscriminatorProperty: true,
      discriminator: {
        property,
        subTypes: Object.entries(kinds).map(([name, value]) => ({ name, value })),
      },
    })(target, key);
    ValidateNested({ each: true })(target, key);
  };
}

function oneOf(property: string, kinds: Record<string, Class>): PropertyDecorator {
  const unknown = unknownKind(property, Object.keys(kinds).join(', '));
  return (target, key) => {
    ValidateNested()(target, key);
    Type(() => unknown, {
      keepDiscriminatorProperty: true,
      discriminator: {
        property,
        subTypes: Object.entries(kinds).map(([name, value]) => ({ name, value })),
      },
    })(target, key);
  };
}

/** A nested object of one of several kinds. */
export function OneOfKinds(property: string, kinds: Record<string, Class>): PropertyDecorator {
  const typed = oneOf(property, kinds);
  return (target, key) => {
    IsDefined({ message: 'must be given' })(target, key);
    IsObject({ message: 'must be an object' })(target, key);
    typed(target, key);
  };
}

/** A nested object of one of several kinds, or null. */
export function OneOfKindsOrNull(
  property: string,
  kinds: Record<string, Class>,
): PropertyDecorator {
  const typed = oneOf(property, kinds);
  return (target, key) => {
    ValidateIf((_owner, value: unknown) => value !== null)(target, key);
    IsObjectOrNull()(target, key);
    typed(target, key);
  };
}

/** Class for objects whose kind is not known: refuses everything with the known kinds. */
function unknownKind(property: string, known: string): Class {
  class UnknownKind {}
  IsKnownKind(property, known)(UnknownKind.prototype, property);
  return UnknownKind;
}

function IsKnownKind(property: string, known: string): PropertyDecorator {
  return ValidateBy({
    name: 'knownKind',
    validator: {
      validate: () => false,
      defaultMessage: () => `${property} must be one of ${known}`,
    },
  });
}
