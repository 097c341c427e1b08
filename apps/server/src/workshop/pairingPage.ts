/** What a device sees that is not paired: this page, its script, and nothing else. */
export const pairingPage = `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Brookrain: pair this device</title>
<style>
:root { color-scheme: light dark; --paper: #f3f0e9; --ink: #1c272c; --edge: #76827f; --signal: #a63a0e; }
@media (prefers-color-scheme: dark) { :root { --paper: #141b1e; --ink: #ebe7dc; --edge: #8b9693; --signal: #ff9663; } }
body { margin: 0; padding: 24px 20px; background: var(--paper); color: var(--ink); font: 18px/1.45 system-ui, sans-serif; max-width: 32rem; }
h1 { font-size: 24px; margin: 0 0 8px; }
label { display: block; margin: 16px 0 4px; }
input, button { box-sizing: border-box; width: 100%; min-height: 48px; font: inherit; color: inherit; background: transparent; border: 1px solid var(--edge); border-radius: 4px; padding: 8px 12px; }
input[name=code] { text-transform: uppercase; letter-spacing: 0.15em; font-family: ui-monospace, monospace; }
button { margin-top: 20px; font-weight: 600; border: 2px solid var(--ink); }
[role=alert] { color: var(--signal); min-height: 1.5em; }
</style>
</head>
<body>
<h1>Pair this device</h1>
<p>On the computer that Brookrain runs on, open Settings, Workshop, and press “Pair a device”. Type the code shown there. It is valid once, for ten minutes.</p>
<form>
<label for="code">Code</label>
<input id="code" name="code" autocomplete="off" autocapitalize="characters" spellcheck="false" maxlength="20" required>
<label for="name">What this device is called</label>
<input id="name" name="name" maxlength="40" value="Phone" required>
<button type="submit">Pair</button>
<p role="alert"></p>
</form>
<script src="/pair.js"></script>
</body>
</html>
`;

/** Sends the code; one that came with the address, behind its #, is filled in. */
export const pairingScript = `'use strict';
const form = document.querySelector('form');
const told = document.querySelector('[role=alert]');
form.code.value = decodeURIComponent(location.hash.slice(1)).slice(0, 20);
if (location.hash) history.replaceState(null, '', location.pathname);
form.addEventListener('submit', async (event) => {
  event.preventDefault();
  told.textContent = '';
  try {
    const reply = await fetch('/api/pair', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ code: form.code.value.trim().toUpperCase(), name: form.name.value.trim() }),
    });
    if (reply.ok) location.replace('/');
    else told.textContent = (await reply.json()).message;
  } catch {
    told.textContent = 'The computer does not answer. Is this device on the same network?';
  }
});
`;
