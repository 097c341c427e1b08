import { applyDecorators } from '@nestjs/common';
import { ApiOperation, ApiProduces, ApiQuery } from '@nestjs/swagger';
import { unitSystems } from '@brookrain/core';
import { MayBeBusy, MayBeMissing, Replies } from '../openapi/replies.ts';

/** What a route says that answers with a paper of a build. */
export const PaperRoute = (summary: string, type: string, description: string) =>
  applyDecorators(
    ApiOperation({ summary }),
    ApiProduces(type),
    Replies(200, 'Text', description),
    MayBeMissing(),
    MayBeBusy(),
  );

/** A paper that is written in the units that are asked for. */
export const InUnits = () =>
  ApiQuery({
    name: 'units',
    required: false,
    enum: unitSystems,
    description: 'Units of the paper; those of the build where nothing is said',
  });
