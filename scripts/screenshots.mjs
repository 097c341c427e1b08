// npm run screenshots: takes docs/screenshots from the running program with the demo build.
import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { buildWeb, chromiumPath, compile, ensureChromium, install, root } from './steps.mjs';

install();
ensureChromium();
compile();
buildWeb();

const data = mkdtempSync(join(tmpdir(), 'brookrain-pictures-'));
const port = 24990;
const server = spawn(process.execPath, ['apps/server/dist/main.js'], {
  cwd: root,
  env: { ...process.env, BROOKRAIN_DATA: data, BROOKRAIN_PORT: String(port) },
  stdio: ['ignore', 'pipe', 'inherit'],
});
await new Promise((resolve) =>
  server.stdout.on('data', (text) => text.toString().includes('ready') && resolve()),
);

const pictures = [
  { name: 'brief', path: '/builds/lantern/brief' },
  { name: 'fuel-circuit', path: '/builds/kittiwake/circuit' },
  { name: 'pump', path: '/builds/lantern/pump' },
  {
    name: 'map',
    path: '/builds/lantern/map',
    act: (page) => page.getByRole('button', { name: 'Fit a heat sleeve' }).waitFor(),
  },
  { name: 'lines', path: '/builds/lantern/lines?of=return' },
  {
    name: 'devices',
    path: '/builds/lantern/devices?of=coil-1',
    act: (page) => page.getByRole('region', { name: 'Traced back to the source' }).waitFor(),
  },
  {
    name: 'pins',
    path: '/builds/lantern/pins',
    act: (page) => page.getByRole('listbox', { name: 'Cavities of connector A' }).waitFor(),
  },
  {
    name: 'supply',
    path: '/builds/sandpiper/supply',
    act: (page) => page.getByRole('navigation', { name: 'What feeds what' }).waitFor(),
  },
  {
    name: 'wires',
    path: '/builds/kittiwake/wires',
    theme: 'dark',
    act: (page) => page.getByRole('table', { name: 'Wires' }).waitFor(),
  },
  {
    name: 'panel',
    path: '/builds/sandpiper/panel',
    act: (page) => page.getByRole('group', { name: 'Plate from the front' }).waitFor(),
  },
  {
    name: 'switching',
    path: '/builds/lantern/switching',
    act: (page) => page.getByRole('region', { name: 'Sneak paths' }).waitFor(),
  },
  {
    name: 'schematic',
    path: '/builds/lantern/schematic',
    act: async (page) => {
      await page.getByRole('combobox', { name: 'Sheet' }).click();
      await page.getByRole('option', { name: 'Cooling' }).click();
      await page.getByRole('img', { name: /^Cooling/ }).waitFor();
      await page
        .getByRole('img', { name: /^Cooling/ })
        .getByText('Fan 1', { exact: true })
        .click();
    },
  },
  {
    name: 'harness',
    path: '/builds/sandpiper/harness?of=segment:over',
    act: (page) => page.getByRole('group', { name: /Cut through the bundle/ }).waitFor(),
  },
  {
    name: 'formboard',
    path: '/builds/lantern/formboard',
    act: (page) => page.getByRole('img', { name: /^Plan of the board/ }).waitFor(),
  },
  {
    name: 'next-wire-phone',
    path: '/at/sandpiper/cut',
    width: 390,
    height: 844,
    heading: 'main h1',
    act: (page) => page.getByLabel('Cut to').waitFor(),
  },
  { name: 'catalogue', path: '/catalogue/pump' },
  {
    name: 'readings-phone',
    path: '/builds/lantern/readings?case=hotIdle',
    width: 390,
    height: 844,
  },
  {
    name: 'findings',
    path: '/builds/lantern/findings',
    act: async (page) => {
      await page.getByRole('button', { name: 'Fit a heat sleeve' }).waitFor();
      await page.getByRole('button', { name: 'Accept with a reason' }).first().click();
    },
  },
  // Last, since it edits the build for good.
  {
    name: 'margins-e85',
    path: '/builds/lantern/brief',
    act: async (page) => {
      // As it is sold in summer.
      await page.getByLabel('Vapour pressure (Reid), as sold').fill('45 kPa');
      await page.getByLabel('Vapour pressure (Reid), as sold').press('Enter');
      await page.getByRole('region', { name: 'Ripple' }).waitFor();
      await page.getByLabel('Ethanol by volume').fill('85 %');
      await page.getByLabel('Ethanol by volume').press('Enter');
      await page.getByRole('region', { name: 'Ripple' }).getByText('Injector duty').waitFor();
      await page.getByRole('button', { name: /^Prove/ }).click();
      await page.getByRole('link', { name: /^Margins/ }).click();
      await page.getByRole('heading', { name: 'Margins' }).waitFor();
    },
  },
];
mkdirSync(join(root, 'docs/screenshots'), { recursive: true });
const browser = await chromium.launch({
  executablePath: chromiumPath,
  args: [
    '--headless',
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
try {
  for (const picture of pictures) {
    const { name, path, width = 1280, height = 800, theme = 'light', act } = picture;
    const { heading = path === '/' ? 'main li' : 'main[tabindex] h1' } = picture;
    const page = await browser.newPage({ viewport: { width, height } });
    await page.addInitScript((kept) => localStorage.setItem('brookrain.theme', kept), theme);
    await page.goto(`http://127.0.0.1:${port}${path}`);
    await page.locator(heading).first().waitFor();
    await page.getByText('Opening', { exact: true }).waitFor({ state: 'detached' });
    if (act) await act(page);
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: join(root, 'docs/screenshots', `${name}.png`) });
    await page.close();
  }
} finally {
  await browser.close();
  server.kill();
  rmSync(data, { recursive: true, force: true });
}
