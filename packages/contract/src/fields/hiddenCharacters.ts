import { type ValidationOptions, ValidateBy } from 'class-validator';

/** Control characters without tab and line breaks; characters that change the direction of writing. */
const HIDDEN =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\u061c\u200e\u200f\u202a-\u202e\u2066-\u2069]/;
const BREAKS = /[\t\n\r\u2028\u2029]/;

/** What a text with such characters is refused with. */
export const HIDDEN_CHARACTERS = 'must not hold control or direction characters';

/** Whether a text holds characters that nobody sees; line breaks count unless they are allowed. */
export const hasHiddenCharacters = (text: string, mayHoldLines: boolean): boolean =>
  HIDDEN.test(text) || (!mayHoldLines && BREAKS.test(text));

/** A property of a message that is a name on one line. */
export const IsPlainText = (options?: ValidationOptions): PropertyDecorator =>
  ValidateBy(
    {
      name: 'isPlainText',
      validator: {
        validate: (value: unknown) =>
          typeof value === 'string' && !hasHiddenCharacters(value, false),
        defaultMessage: () => `$property ${HIDDEN_CHARACTERS}`,
      },
    },
    options,
  );
