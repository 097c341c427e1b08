import type { HealthReply } from '@brookrain/contract';
import { Controller, Get, Inject } from '@nestjs/common';
import { BuildStore } from '../builds/buildStore.ts';

@Controller('api/health')
export class HealthController {
  constructor(@Inject(BuildStore) private readonly builds: BuildStore) {}

  @Get()
  health(): HealthReply {
    return { status: 'ok', version: '0.1.0', builds: this.builds.count() };
  }
}
