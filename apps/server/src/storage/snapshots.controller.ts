import { join } from 'node:path';
import type { SnapshotReply, SnapshotsReply } from '@brookrain/contract';
import { Controller, Get, HttpCode, Inject, Post } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { Throttle } from '@nestjs/throttler';
import { Replies } from '../openapi/replies.ts';
import { LastWritten } from './lastWritten.ts';
import { Snapshots } from './snapshots.ts';

@ApiTags('service')
@Controller('api/snapshots')
export class SnapshotsController {
  constructor(
    @Inject(Snapshots) private readonly snapshots: Snapshots,
    @Inject(LastWritten) private readonly last: LastWritten,
  ) {}

  @Get()
  @ApiOperation({ summary: 'Snapshots of the data folder, newest first' })
  @Replies(200, 'SnapshotsReply', 'The snapshots and how one is put back')
  list(): SnapshotsReply {
    const snapshots = this.snapshots.list();
    const file = snapshots[0]?.file ?? 'FILE';
    return {
      folder: this.snapshots.folder,
      restoreCommand: `npm run restore -- ${join(this.snapshots.folder, file)}`,
      snapshots,
      lost: this.last.lost(),
    };
  }

  // Each is a copy of everything, and those that are asked for stay.
  @Throttle({ default: { limit: 20, ttl: 60_000 } })
  @Post()
  @ApiOperation({ summary: 'Take a snapshot now' })
  @Replies(201, 'SnapshotReply', 'The snapshot')
  take(): Promise<SnapshotReply> {
    return this.snapshots.take('asked');
  }

  @Post('lost/understood')
  @HttpCode(200)
  @ApiOperation({ summary: 'The note on missing data was read and is not shown again' })
  @Replies(200, 'SnapshotsReply', 'The snapshots and how one is put back')
  understood(): SnapshotsReply {
    this.last.understood();
    return this.list();
  }
}
