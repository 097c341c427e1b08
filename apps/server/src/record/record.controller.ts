import { RecordMessage, type RecordReply } from '@brookrain/contract';
import { Body, Controller, Get, Inject, Param, Post, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { LiveEvents } from '../live/liveEvents.ts';
import { ModelPipe } from '../modelPipe.ts';
import { MayBeMissing, Replies, Takes } from '../openapi/replies.ts';
import { deviceOf } from '../workshop/requestDevice.ts';
import { RecordStore } from './recordStore.ts';

@ApiTags('record')
@Controller('api/builds/:id/record')
export class RecordController {
  constructor(
    @Inject(RecordStore) private readonly record: RecordStore,
    @Inject(LiveEvents) private readonly live: LiveEvents,
  ) {}

  @Get()
  @ApiOperation({ summary: 'What happened to a build, in the order in which it came in' })
  @Replies(200, 'RecordReply', 'The entries')
  @MayBeMissing()
  list(@Param('id') id: string): RecordReply {
    return { entries: this.record.list(id) };
  }

  @Post()
  @ApiOperation({ summary: 'Adds entries; one that was sent before is stored once' })
  @Takes('RecordMessage', 'Entries in the order in which they were made')
  @Replies(201, 'RecordReply', 'All entries of the build')
  @MayBeMissing()
  add(
    @Param('id') id: string,
    @Body(new ModelPipe(RecordMessage)) { entries }: RecordMessage,
    @Res({ passthrough: true }) response: Response,
  ): RecordReply {
    const added = this.record.add(id, entries, deviceOf(response).name);
    if (added > 0) this.live.tell({ type: 'record', id });
    return { entries: this.record.list(id) };
  }
}
