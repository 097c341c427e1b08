import { applyDecorators } from '@nestjs/common';
import { ApiBody, ApiResponse } from '@nestjs/swagger';

const named = (schema: string) => ({ $ref: `#/components/schemas/${schema}` });

/** The reply of a route, by the name of its message in the contract. */
export function Replies(status: number, schema: string, description: string, many = false) {
  const content = many ? { type: 'array' as const, items: named(schema) } : named(schema);
  return applyDecorators(
    ApiResponse({ status, description, schema: content }),
    ApiResponse({
      status: 400,
      description: 'What is wrong, and where',
      schema: named('ErrorReply'),
    }),
    ApiResponse({
      status: 500,
      description: 'Not done; nothing was changed',
      schema: named('ErrorReply'),
    }),
  );
}

/** 404 of routes that name something. */
export const MayBeMissing = () =>
  ApiResponse({ status: 404, description: 'There is no such thing', schema: named('ErrorReply') });

/** 503 of routes whose answer is worked out beside everything else. */
export const MayBeBusy = () =>
  ApiResponse({
    status: 503,
    description: 'The server is busy; try again in a moment',
    schema: named('ErrorReply'),
  });

/** 409 of routes that change a build. */
export const MayConflict = () =>
  ApiResponse({
    status: 409,
    description: 'Someone else changed the build first; both versions and the edit come back',
    schema: named('ConflictReply'),
  });

/** The body of a route, by the name of its message in the contract. */
export const Takes = (schema: string, description: string) =>
  ApiBody({ description, schema: named(schema) });

/** A body that is a file as text. */
export const TakesText = (description: string) =>
  ApiBody({ description, schema: { type: 'string' } });
