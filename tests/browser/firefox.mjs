#!/usr/bin/env node
/**
 * Debian's Firefox for Playwright, which drives it by WebDriver BiDi and asks for media features to be emulated in each
 * new page. This Firefox does not know that command yet; everything else goes through as it is. Pages have the features of
 * the machine then, so tests that emulate some run in Chromium alone.
 */
import { spawn } from 'node:child_process';
import { WebSocket, WebSocketServer } from 'ws';

const unknown = 'emulation.setMediaFeaturesOverride';
const listening = /WebDriver BiDi listening on ws:\/\/127\.0\.0\.1:(\d+)/;

const firefox = spawn('/usr/bin/firefox-esr', process.argv.slice(2), { stdio: ['ignore', 'pipe', 'pipe'] });
for (const output of [firefox.stdout, firefox.stderr]) {
  let line = '';
  output.on('data', (data) => {
    line += data;
    const port = listening.exec(line)?.[1];
    if (port === undefined) return;
    output.removeAllListeners('data').resume();
    between(port);
  });
}
firefox.on('exit', (code) => process.exit(code ?? 1));
for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP']) process.on(signal, () => firefox.kill('SIGKILL'));

/** Listens in place of the browser, and says where, as the browser does. */
function between(port) {
  const server = new WebSocketServer({ port: 0, host: '127.0.0.1' });
  server.on('connection', (driver, { url }) => {
    const browser = new WebSocket(`ws://127.0.0.1:${port}${url}`, { maxPayload: 256 * 1024 * 1024 });
    const opened = new Promise((resolve) => browser.on('open', resolve));
    driver.on('message', async (data) => {
      const { id, method } = JSON.parse(String(data));
      if (method === unknown) {
        driver.send(JSON.stringify({ type: 'success', id, result: {} }));
        return;
      }
      await opened;
      browser.send(String(data));
    });
    browser.on('message', (data) => driver.send(String(data)));
    browser.on('close', () => driver.close());
    // Whoever drove it may have been ended without a word.
    driver.on('close', () => firefox.kill());
  });
  server.on('listening', () =>
    process.stderr.write(`WebDriver BiDi listening on ws://127.0.0.1:${server.address().port}\n`),
  );
}
