import type { BuildSummary } from '@brookrain/contract';
import { Controller, HttpCode, Inject, Post } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { Replies } from '../openapi/replies.ts';
import { NOBODY } from '../requests.ts';
import { BuildStarter } from './buildStarter.ts';

@ApiTags('builds')
@Controller('api/demo')
export class DemoController {
  constructor(@Inject(BuildStarter) private readonly starter: BuildStarter) {}

  @Post('reset')
  @HttpCode(200)
  @ApiOperation({ summary: 'Put the demo builds back as shipped; own builds are not touched' })
  @Replies(200, 'BuildSummary', 'All builds', true)
  reset(): Promise<BuildSummary[]> {
    return this.starter.resetDemos(NOBODY);
  }
}
