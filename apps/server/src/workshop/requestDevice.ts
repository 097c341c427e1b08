import type { Response } from 'express';

/** The device that a request came from, as the workshop's door found it. */
export interface RequestDevice {
  readonly name: string;
  /** whether it is the computer that the program runs on */
  readonly isOwner: boolean;
}

/** Notes the device of a request that was let in. */
export function setDevice(response: Response, device: RequestDevice): void {
  response.locals['device'] = device;
}

/** The device of a request. Throws for one that no door has let in. */
export function deviceOf(response: Response): RequestDevice {
  const device = response.locals['device'] as RequestDevice | undefined;
  if (device === undefined) throw new Error('a request passed no door');
  return device;
}
