/** One row of what a paired device may do. */
export interface DevicePermission {
  readonly methods: readonly string[];
  /** the route as the API documents it; `/**` at its end: and everything below it */
  readonly route: string;
  readonly allowed: boolean;
  readonly reason: string;
}

const READ = ['GET'];
const WRITE = ['POST'];
const ANY = ['GET', 'POST', 'PUT', 'DELETE'];

/**
 * What a paired device may do, first matching row first. A route that no row names is refused. Printed
 * in docs/safety-of-data.md.
 */
export const devicePermissions: readonly DevicePermission[] = [
  {
    methods: WRITE,
    route: '/api/builds/{id}/commands',
    allowed: true,
    reason: 'measured lengths and corrections are entered at the vehicle',
  },
  {
    methods: WRITE,
    route: '/api/builds/{id}/undo',
    allowed: true,
    reason: 'takes back what was entered by mistake',
  },
  {
    methods: WRITE,
    route: '/api/builds/{id}/redo',
    allowed: true,
    reason: 'puts back what was taken back by mistake',
  },
  {
    methods: WRITE,
    route: '/api/builds/{id}/record',
    allowed: true,
    reason: 'what was cut, pinned and measured is recorded at the vehicle',
  },
  {
    methods: READ,
    route: '/api/builds/**',
    allowed: true,
    reason: 'design, history and papers are read at the vehicle',
  },
  {
    methods: WRITE,
    route: '/api/builds/**',
    allowed: false,
    reason: 'a build is started, imported, copied, archived or put back at the desk',
  },
  {
    methods: READ,
    route: '/api/catalogue/**',
    allowed: true,
    reason: 'a build is calculated with its parts',
  },
  {
    methods: WRITE,
    route: '/api/catalogue/**',
    allowed: false,
    reason: 'the catalogue serves every build; it is edited at the desk',
  },
  { methods: READ, route: '/api/events', allowed: true, reason: 'windows follow each other' },
  { methods: READ, route: '/api/health', allowed: true, reason: 'says only that the program runs' },
  {
    methods: READ,
    route: '/api/this-device',
    allowed: true,
    reason: 'the page shows what this device may do',
  },
  {
    methods: READ,
    route: '/api/openapi.json',
    allowed: true,
    reason: 'the description of this interface',
  },
  {
    methods: ANY,
    route: '/api/workshop/**',
    allowed: false,
    reason: 'who is paired is decided on the computer itself',
  },
  {
    methods: ANY,
    route: '/api/snapshots/**',
    allowed: false,
    reason: 'backup is a matter of the computer itself',
  },
  {
    methods: ANY,
    route: '/api/demo/**',
    allowed: false,
    reason: 'resetting the demo builds changes builds',
  },
];

const patternOf = (route: string): RegExp => {
  const isTree = route.endsWith('/**');
  const stem = (isTree ? route.slice(0, -3) : route)
    .replace(/\./g, '\\.')
    .replace(/\{[^}]+\}/g, '[^/]+');
  // Routes are found whatever the case of their letters and with a slash at their end.
  return new RegExp(`^${stem}${isTree ? '(/.*)?' : '/?'}$`, 'i');
};

const compiled = devicePermissions.map((row) => ({ ...row, pattern: patternOf(row.route) }));

/** The row that decides on a request; undefined where none names it, which refuses it. */
export function permissionFor(method: string, path: string): DevicePermission | undefined {
  const asked = method === 'HEAD' ? 'GET' : method;
  return compiled.find(({ methods, pattern }) => methods.includes(asked) && pattern.test(path));
}
