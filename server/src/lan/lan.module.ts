import { Module } from '@nestjs/common';
import { LAN_ADDRESSES } from './lan-addresses';
import { LanController } from './lan.controller';
import { Pairing } from './pairing';

@Module({
  controllers: [LanController],
  providers: [Pairing, { provide: LAN_ADDRESSES, useFactory: (): string[] => [] }],
  exports: [Pairing, LAN_ADDRESSES],
})
export class LanModule {}
