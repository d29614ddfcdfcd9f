import { request } from 'node:http';

/** Sends JSON and is gone before the answer, as somebody is who closes the page; ends once the line is closed. */
export const askAndLeave = (url: string, body: unknown, afterMs: number): Promise<void> =>
  new Promise((gone) => {
    const asking = request(
      url,
      { method: 'POST', headers: { 'Content-Type': 'application/json' } },
      (answer) => answer.resume(),
    );
    asking.on('error', () => undefined).on('close', gone);
    asking.end(JSON.stringify(body));
    setTimeout(() => asking.destroy(), afterMs);
  });
