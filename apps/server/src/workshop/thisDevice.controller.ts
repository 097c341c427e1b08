import type { ThisDeviceReply } from '@brookrain/contract';
import { Controller, Get, Res } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { Replies } from '../openapi/replies.ts';
import { deviceOf } from './requestDevice.ts';

/** What the page may offer on the device that it is open on. */
@ApiTags('service')
@Controller('api/this-device')
export class ThisDeviceController {
  @Get()
  @ApiOperation({ summary: 'The device that asks, and whether it may do everything' })
  @Replies(200, 'ThisDeviceReply', 'Its name as it was paired')
  thisDevice(@Res({ passthrough: true }) response: Response): ThisDeviceReply {
    return deviceOf(response);
  }
}
