import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, type OpenAPIObject, SwaggerModule } from '@nestjs/swagger';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { Request, Response } from 'express';
import { serverFolder } from '../serverFolder.ts';

/** Schemas of the messages, generated from the contract by `npm run generate`. */
const schemasFile = join(serverFolder, 'openapi/schemas.json');

/** What the door of the workshop answers, which stands before all routes. */
const pairing: OpenAPIObject['paths'][string] = {
  post: {
    operationId: 'pair',
    summary: 'Pairs a device of the workshop network by a code of one use',
    tags: ['service'],
    requestBody: {
      required: true,
      description: 'The code as the computer shows it, and what the device is called',
      content: { 'application/json': { schema: { $ref: '#/components/schemas/PairMessage' } } },
    },
    responses: {
      201: { description: 'Paired: the cookie of the device is set' },
      400: { description: 'No code, or no name' },
      403: { description: 'A code that is not good, or no longer' },
      409: { description: 'Too many devices are paired' },
      429: { description: 'Too many wrong codes' },
    },
  },
};

/** The description of every route with its messages. */
export function openApiDocument(app: INestApplication): OpenAPIObject {
  const config = new DocumentBuilder()
    .setTitle('Brookrain')
    .setDescription(
      'Builds, their history and the catalogue. Entered quantities are { value in SI, unit as typed }; computed figures are SI.',
    )
    .setVersion('0.1.0')
    .addTag('builds', 'Builds and their history')
    .addTag('exports', 'Sheets and lists of a build')
    .addTag('catalogue', 'Items and their immutable revisions')
    .addTag('live', 'What other windows change')
    .addTag('service', 'The server and its data')
    .build();
  const document = SwaggerModule.createDocument(app, config);
  const schemas = JSON.parse(readFileSync(schemasFile, 'utf8')) as NonNullable<
    NonNullable<OpenAPIObject['components']>['schemas']
  >;
  const paths = { ...document.paths, '/api/pair': pairing };
  return { ...document, paths, components: { ...document.components, schemas } };
}

/** Serves the description under /api/openapi.json; it is made on the first request. */
export function serveOpenApi(app: NestExpressApplication): void {
  let document: OpenAPIObject | undefined;
  app.use('/api/openapi.json', (_request: Request, response: Response) => {
    document ??= openApiDocument(app);
    response.json(document);
  });
}
