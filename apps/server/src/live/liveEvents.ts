import type { LiveEvent } from '@brookrain/contract';
import { Injectable } from '@nestjs/common';
import { type Observable, Subject } from 'rxjs';

/** What happens on the server, for every open window. */
@Injectable()
export class LiveEvents {
  private readonly events = new Subject<LiveEvent>();

  tell(event: LiveEvent): void {
    this.events.next(event);
  }

  all(): Observable<LiveEvent> {
    return this.events.asObservable();
  }

  /** Ends every open stream; used when the server closes. */
  end(): void {
    this.events.complete();
  }
}
