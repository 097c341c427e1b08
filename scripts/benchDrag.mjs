// Drags a place on the map of the grown build in a page of the production build, and prints how long
// the frames took. Needs a browser and a built page.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { demoBuilds, grownBuild } from '../packages/core/dist/index.js';

const PORT = 4795;
const STEPS = 90;
const base = `http://127.0.0.1:${PORT}`;

async function answers() {
  for (let i = 0; i < 200; i++) {
    try {
      if ((await fetch(`${base}/api/builds`)).ok) return;
    } catch {
      // It is not up yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error('the server did not answer');
}

/** Frames of a drag of a place, ms: what half of them and the longest took. */
async function framesOf(page, id) {
  await page.goto(`${base}/builds/${id}/map?of=placements:pump`);
  const handle = page.getByRole('button', { name: /plan view$/ }).first();
  const box = await handle.boundingBox();
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.evaluate(() => {
    window.dragFrames = [];
    let last = performance.now();
    const next = (now) => {
      window.dragFrames.push(now - last);
      last = now;
      window.dragFrame = requestAnimationFrame(next);
    };
    window.dragFrame = requestAnimationFrame(next);
  });
  for (let i = 1; i <= STEPS; i++) await page.mouse.move(x + i / 2, y + (i % 12));
  const frames = await page.evaluate(() => {
    cancelAnimationFrame(window.dragFrame);
    return window.dragFrames;
  });
  await page.mouse.up();
  const sorted = frames.slice(2).sort((a, b) => a - b);
  return { median: sorted[Math.floor(sorted.length / 2)], longest: sorted.at(-1) };
}

/** Prints how long the frames of a drag take on the map of a build with 400 places. */
export async function benchDrag() {
  const data = mkdtempSync(join(tmpdir(), 'brookrain-bench-'));
  const server = spawn(process.execPath, ['apps/server/dist/main.js'], {
    env: { ...process.env, BROOKRAIN_DATA: data, BROOKRAIN_PORT: String(PORT) },
    stdio: 'ignore',
  });
  try {
    await answers();
    const grown = grownBuild();
    const reply = await fetch(`${base}/api/builds/import`, {
      method: 'POST',
      headers: { 'content-type': 'application/vnd.brookrain+json' },
      body: JSON.stringify({ ...grown.document, catalogue: grown.catalogue.items }),
    });
    const made = reply.ok ? await reply.json() : undefined;
    const browser = await chromium.launch({
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu'],
    });
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    if (!made) throw new Error(`the grown build was not taken: ${await reply.text()}`);
    for (const [id, name] of [
      [demoBuilds[0].id, demoBuilds[0].document.name],
      [made.id, grown.document.name],
    ]) {
      const { median, longest } = await framesOf(page, id);
      console.log(`\nDragging a place on the map of ${name}, a page of the production build`);
      console.log(`${median.toFixed(3).padStart(10)}  goal < 17    a frame, median`);
      console.log(`${longest.toFixed(3).padStart(10)}  goal < 33    the longest frame`);
    }
    await browser.close();
  } finally {
    server.kill();
    rmSync(data, { recursive: true, force: true });
  }
}
