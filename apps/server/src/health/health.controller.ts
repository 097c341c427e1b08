import type { HealthReply } from '@brookrain/contract';
import { Controller, Get, Inject } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { Replies } from '../openapi/replies.ts';
import { BuildStore } from '../builds/buildStore.ts';

@ApiTags('service')
@Controller('api/health')
export class HealthController {
  constructor(@Inject(BuildStore) private readonly builds: BuildStore) {}

  @Get()
  @ApiOperation({ summary: 'Whether the server is up' })
  @Replies(200, 'HealthReply', 'It is')
  health(): HealthReply {
    return { status: 'ok', version: '0.1.0', builds: this.builds.count() };
  }
}
