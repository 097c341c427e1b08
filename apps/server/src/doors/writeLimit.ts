import { type ExecutionContext, Injectable } from '@nestjs/common';
import { ThrottlerGuard } from '@nestjs/throttler';
import type { Request } from 'express';
import { RefusedRequest } from '../errors.ts';

/** What is written may be written so often in this time, ms. */
export const WRITE_WINDOW = 10_000;

/** Holds up what writes more often than people do; what is only read is not counted. */
@Injectable()
export class WriteLimit extends ThrottlerGuard {
  protected override shouldSkip(context: ExecutionContext): Promise<boolean> {
    const { method } = context.switchToHttp().getRequest<Request>();
    return Promise.resolve(method === 'GET' || method === 'HEAD');
  }

  protected override throwThrottlingException(): Promise<void> {
    return Promise.reject(
      new RefusedRequest(429, {
        code: 'refused',
        message: 'too many changes in a few seconds; this one was not made: try again in a moment',
      }),
    );
  }
}
