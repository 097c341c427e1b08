import type { ErrorReply } from '@brookrain/contract';
import { PairMessage, messageIssues } from '@brookrain/contract';
import express, {
  type NextFunction,
  type Request,
  type RequestHandler,
  type Response,
} from 'express';
import { badInput } from '../errors.ts';
import { MOST_DEVICES, type PairedDevices } from './pairedDevices.ts';
import { permissionFor } from './devicePermissions.ts';
import { setDevice } from './requestDevice.ts';
import { pairingPage, pairingScript } from './pairingPage.ts';
import type { Workshop } from './workshop.ts';

const COOKIE = 'brookrain_device';
/** A device stays paired for so long without being used, s. */
const YEAR = 365 * 24 * 3600;

/** Answers that are open to each device, so that dropping it ends them. */
export class OpenAnswers {
  private readonly open = new Map<string, Set<Response>>();

  add(deviceId: string, response: Response): void {
    const own = this.open.get(deviceId) ?? new Set<Response>();
    this.open.set(deviceId, own);
    own.add(response);
    response.once('close', () => own.delete(response));
  }

  end(deviceId: string): void {
    for (const response of this.open.get(deviceId) ?? []) response.destroy();
    this.open.delete(deviceId);
  }
}

const refuse = (response: Response, status: number, message: string): void => {
  const reply: ErrorReply = { code: 'refused', message };
  response.status(status).json(reply);
};

/** Id and secret of the device that asks, as its cookie says. */
function cookieOf(request: Request): readonly [id: string, secret: string] | undefined {
  const found = (request.headers.cookie ?? '')
    .split(';')
    .map((each) => each.trim())
    .find((each) => each.startsWith(`${COOKIE}=`));
  const [id, secret, ...rest] = found?.slice(COOKIE.length + 1).split('.') ?? [];
  return id && secret && rest.length === 0 && found && found.length < 200
    ? [id, secret]
    : undefined;
}

/** What stands in the address, without what may be asked of it. */
const PAIR = '/api/pair';
/** The label of entries that are made on the computer that the program runs on. */
export const THIS_COMPUTER = 'this computer';

const isApi = (path: string): boolean => /^\/api(\/|$)/i.test(path);

/**
 * Lets in from the workshop network who is paired. Anyone else gets the pairing page whatever he asks
 * for, and may send a code.
 */
export function workshopDoor(
  workshop: Workshop,
  devices: PairedDevices,
  open: OpenAnswers,
): RequestHandler {
  const body = express.json({ limit: '2kb' });
  const pair = async (request: Request, response: Response): Promise<void> => {
    const issues = messageIssues(PairMessage, request.body);
    if (issues.length > 0) {
      response.status(400).json(badInput(issues).reply);
      return;
    }
    if (devices.list().length >= MOST_DEVICES) {
      return refuse(
        response,
        409,
        'Too many devices are paired: drop some that are not used any more',
      );
    }
    const { code, name } = request.body as PairMessage;
    const answer = workshop.codes.use(code, request.socket.remoteAddress);
    if (answer === 'too many') {
      return refuse(response, 429, 'Too many wrong codes from this device. Ask for a new code');
    }
    if (answer === 'wrong') {
      return refuse(response, 403, 'This code is not good: each works once, for ten minutes');
    }
    const { id, secret } = await devices.add(name);
    response.cookie(COOKIE, `${id}.${secret}`, {
      httpOnly: true,
      sameSite: 'strict',
      path: '/',
      maxAge: YEAR * 1e3,
    });
    response.status(201).json({ name });
  };
  const stranger = (request: Request, response: Response): void => {
    if (isApi(request.path)) {
      return refuse(response, 401, 'This device is not paired: open the address in a browser');
    }
    response.setHeader('cache-control', 'no-store');
    if (request.method === 'GET' && request.path === '/pair.js') {
      response.type('text/javascript').send(pairingScript);
      return;
    }
    response.status(401).type('text/html').send(pairingPage);
  };
  const answer = async (
    request: Request,
    response: Response,
    next: NextFunction,
  ): Promise<void> => {
    if (request.method === 'POST' && request.path === PAIR) {
      body(request, response, (error?: unknown) => {
        if (error) refuse(response, 400, 'send the code as JSON');
        else pair(request, response).catch(next);
      });
      return;
    }
    const cookie = cookieOf(request);
    const device = cookie && (await devices.withSecret(...cookie));
    if (!device) return stranger(request, response);
    if (isApi(request.path) && permissionFor(request.method, request.path)?.allowed !== true) {
      return refuse(response, 403, 'Only on the computer that Brookrain runs on');
    }
    open.add(device.id, response);
    setDevice(response, { name: device.name, isOwner: false });
    next();
  };
  return (request, response, next) => {
    if (workshop.addressOf(request) === undefined) {
      setDevice(response, { name: THIS_COMPUTER, isOwner: true });
      next();
    } else answer(request, response, next).catch(next);
  };
}
