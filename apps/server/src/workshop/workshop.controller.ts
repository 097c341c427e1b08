import { PairingMessage, type PairingReply, type WorkshopReply } from '@brookrain/contract';
import { Body, Controller, Get, HttpCode, Inject, Param, Post, Put } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import QrCode from 'qrcode';
import { RefusedRequest, notFound } from '../errors.ts';
import { ModelPipe } from '../modelPipe.ts';
import { MayBeMissing, Replies, Takes } from '../openapi/replies.ts';
import { PairedDevices } from './pairedDevices.ts';
import { Workshop } from './workshop.ts';
import { OpenAnswers } from './workshopDoor.ts';

/** Whether other devices may use the program, and which: only asked from this machine. */
@ApiTags('workshop')
@Controller('api/workshop')
export class WorkshopController {
  constructor(
    @Inject(Workshop) private readonly workshop: Workshop,
    @Inject(PairedDevices) private readonly devices: PairedDevices,
    @Inject(OpenAnswers) private readonly open: OpenAnswers,
  ) {}

  @Get()
  @ApiOperation({ summary: 'Whether the program is open to the workshop, and who is paired' })
  @Replies(200, 'WorkshopReply', 'Addresses and devices')
  state(): WorkshopReply {
    return {
      urls: this.workshop.urls(),
      canBeClosed: this.workshop.isOfSettings,
      devices: this.devices.list(),
    };
  }

  @Put()
  @ApiOperation({ summary: 'Open the program to the workshop network, or close it' })
  @Takes('PairingMessage', 'Whether it is open')
  @Replies(200, 'WorkshopReply', 'Addresses and devices')
  async set(@Body(new ModelPipe(PairingMessage)) { open }: PairingMessage): Promise<WorkshopReply> {
    if (!open) await this.workshop.close();
    else {
      await this.workshop.open();
      if (this.workshop.urls().length === 0) {
        await this.workshop.close();
        throw new RefusedRequest(409, {
          code: 'refused',
          message: 'This computer is in no network: join one, then open the door again',
        });
      }
    }
    return this.state();
  }

  @Post('codes')
  @ApiOperation({ summary: 'A code with which one device is paired, for ten minutes' })
  @Replies(201, 'PairingReply', 'The code, and where it is typed, as QR code too')
  async code(): Promise<PairingReply> {
    const [url] = this.workshop.urls();
    if (url === undefined) {
      throw new RefusedRequest(409, { code: 'refused', message: 'Open it to the workshop first' });
    }
    const { code, until } = this.workshop.codes.next();
    const address = `${url}/pair#${code}`;
    const picture = await QrCode.toString(address, { type: 'svg', margin: 2 });
    return { code, address: `${url}/pair`, until: new Date(until).toISOString(), picture };
  }

  @Post('devices/:device/drop')
  @HttpCode(200)
  @ApiOperation({ summary: 'Drop a device: what it has open ends' })
  @Replies(200, 'WorkshopReply', 'Addresses and devices')
  @MayBeMissing()
  drop(@Param('device') id: string): WorkshopReply {
    if (!this.devices.drop(id)) throw notFound('there is no such device');
    this.open.end(id);
    return this.state();
  }
}
