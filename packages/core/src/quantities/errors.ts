/** Input that cannot be accepted; `where` names the field, path or place in a file. */
export class BadInput extends Error {
  readonly code = 'bad-input';
  readonly where: string;
  constructor(message: string, where: string, options?: { cause?: unknown }) {
    super(message, options);
    this.name = 'BadInput';
    this.where = where;
  }
}

/** Something referred to that does not exist. */
export class NotFound extends Error {
  readonly code = 'not-found';
  readonly where: string;
  constructor(message: string, where: string) {
    super(message);
    this.name = 'NotFound';
    this.where = where;
  }
}
