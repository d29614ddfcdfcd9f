/** Loaded into the server that is measured (`node --import`): tells, when asked, the longest gap of its event loop since the last time. */
import { monitorEventLoopDelay, performance } from 'node:perf_hooks';

/** A timer asks this often whether it is late, ms: what it finds late is the gap. */
const RESOLUTION_MS = 5;

/** Processes that the server starts load this too: they are not measured, and are sent other things. */
function measure() {
  const delay = monitorEventLoopDelay({ resolution: RESOLUTION_MS });
  delay.enable();
  let busy = performance.eventLoopUtilization();
  process.on('message', () => {
    const longest = delay.count > 0 ? Math.max(0, delay.max / 1e6 - RESOLUTION_MS) : 0;
    process.send?.({ longest, busy: performance.eventLoopUtilization(busy).utilization });
    delay.reset();
    busy = performance.eventLoopUtilization();
  });
  process.channel?.unref();
}
if (process.argv[1]?.endsWith('main.js')) measure();
