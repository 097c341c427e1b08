import { ConsoleLogger } from '@nestjs/common';

/** Where the framework tells that it could not open its port: what a person is told says it already. */
const TOLD_OTHERWISE = 'NestApplication';

/** Warnings and errors of a running server on the console. */
export class ServerLog extends ConsoleLogger {
  constructor() {
    super({ logLevels: ['error', 'warn'] });
  }

  override error(message: unknown, ...rest: unknown[]): void {
    if (rest.at(-1) !== TOLD_OTHERWISE) super.error(message, ...rest);
  }
}
