import type { LiveEvent } from '@brookrain/contract';
import { Controller, Inject, type MessageEvent, type OnModuleDestroy, Sse } from '@nestjs/common';
import { ApiOperation, ApiProduces, ApiTags } from '@nestjs/swagger';
import { type Observable, ReplaySubject, interval, map, merge, of, takeUntil } from 'rxjs';
import { Replies } from '../openapi/replies.ts';
import { LiveEvents } from './liveEvents.ts';

/** Told often enough that a window notices a lost connection. */
const ALIVE_EVERY_MS = 10_000;

@ApiTags('live')
@Controller('api/events')
export class LiveController implements OnModuleDestroy {
  /** a stream that is opened while the server closes ends at once */
  private readonly closing = new ReplaySubject<void>(1);

  constructor(@Inject(LiveEvents) private readonly live: LiveEvents) {}

  @Sse()
  @ApiOperation({ summary: 'Changes as they happen, as server-sent events' })
  @ApiProduces('text/event-stream')
  @Replies(200, 'LiveEvent', 'One event after another, each as JSON')
  events(): Observable<MessageEvent> {
    const alive: LiveEvent = { type: 'alive' };
    return merge(of(alive), interval(ALIVE_EVERY_MS).pipe(map(() => alive)), this.live.all()).pipe(
      takeUntil(this.closing),
      map((data) => ({ data })),
    );
  }

  onModuleDestroy(): void {
    this.closing.next();
    this.live.end();
  }
}
