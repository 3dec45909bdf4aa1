import { Controller, Delete, Get, Inject, Param, Req } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { toString } from 'qrcode';
import type { Lan } from '@hervir/contract';
import { onThisMachineOnly } from './door';
import { LAN_ADDRESSES } from './lan-addresses';
import { Pairing } from './pairing';

@ApiTags('lan')
@Controller('api/lan')
export class LanController {
  constructor(
    private readonly pairing: Pairing,
    @Inject(LAN_ADDRESSES) private readonly addresses: string[],
  ) {}

  @Get()
  @ApiOperation({ summary: 'How a phone comes in: address, QR code and pairing code; told to this machine only' })
  async lan(@Req() request: Request): Promise<Lan> {
    onThisMachineOnly(request);
    const [address] = this.addresses;
    return {
      addresses: this.addresses,
      code: address === undefined ? null : this.pairing.code,
      qr: address === undefined ? null : await toString(`${address}/pair`, { type: 'svg', margin: 1 }),
      devices: await this.pairing.devices(),
    };
  }

  @Delete('devices/:id')
  @ApiOperation({ summary: 'Forget a paired device; from this machine only' })
  async forget(@Req() request: Request, @Param('id') id: string): Promise<{ status: 'ok' }> {
    onThisMachineOnly(request);
    await this.pairing.forget(id);
    return { status: 'ok' };
  }
}
