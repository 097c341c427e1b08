import { type ErrorReply, MOST_BYTES } from '@brookrain/contract';
import {
  type ArgumentsHost,
  Catch,
  type ExceptionFilter,
  HttpException,
  Logger,
} from '@nestjs/common';
import type { Request, Response } from 'express';
import { limitPassedBy, unreadBecause } from './boundedJson.ts';
import { storageTrouble } from './storage/storageTrouble.ts';
import { ConflictRefused, RefusedRequest, badInput, notFound, refusalOf } from './errors.ts';

interface BodyError {
  readonly type?: string;
  readonly status?: number;
  readonly message?: string;
}

const tooLarge = (limit: number | undefined): string =>
  limit === undefined || limit >= MOST_BYTES
    ? 'the file is larger than 10 MB'
    : `the request is larger than ${Math.round(limit / 1000)} kB`;

/** Turns every error into a reply of the contract; nothing internal leaks. */
@Catch()
export class ErrorFilter implements ExceptionFilter {
  private readonly logger = new Logger('Request');

  catch(error: unknown, host: ArgumentsHost): void {
    const http = host.switchToHttp();
    const response = http.getResponse<Response>();
    if (error instanceof ConflictRefused) {
      response.status(error.status).type('application/json').send(error.body);
      return;
    }
    // What the reading of a body is stopped by comes here as an error of the reader's own.
    const request = http.getRequest<Request>();
    const unread = unreadBecause(request);
    const refused =
      unread === undefined
        ? this.translate(error, request)
        : badInput([{ path: '', message: unread }]);
    response.status(refused.status).type('application/json').json(refused.reply);
  }

  private translate(error: unknown, request: Request): RefusedRequest {
    const refusal = refusalOf(error);
    if (refusal) return refusal;
    const body = error as BodyError;
    const status = error instanceof HttpException ? error.getStatus() : body?.status;
    if (body?.type === 'entity.too.large' || status === 413) {
      return new RefusedRequest(413, {
        code: 'too-large',
        message: tooLarge(limitPassedBy(request)),
      });
    }
    const storage = storageTrouble(error);
    if (storage) {
      this.logger.warn(`${storage.code}: ${storage.message}`);
      return new RefusedRequest(storage.status, { code: 'storage', message: storage.message });
    }
    if (status === 404) return notFound('there is nothing here');
    if (status !== undefined && status >= 400 && status < 500) {
      const message = String(body.message).slice(0, 200);
      return new RefusedRequest(status, { code: 'bad-input', message });
    }
    this.logger.error(error instanceof Error ? error.stack : String(error));
    const reply: ErrorReply = {
      code: 'internal',
      message: 'the server could not do this; nothing was changed',
    };
    return new RefusedRequest(500, reply);
  }
}
