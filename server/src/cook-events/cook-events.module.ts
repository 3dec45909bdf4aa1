import { Module } from '@nestjs/common';
import { CooksStream } from './cooks.stream';

/** The stream by itself: who only listens to cooks needs no more. */
@Module({ providers: [CooksStream], exports: [CooksStream] })
export class CookEventsModule {}
