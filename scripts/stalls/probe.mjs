/** Loaded into the server that is measured (`node --import`): tells, when asked, the longest gap of its event loop since the last time. */
import { monitorEventLoopDelay, performance } from 'node:perf_hooks';

/** A timer asks this often whether it is late, ms: what it finds late is the gap. */
const RESOLUTION_MS = 5;
const delay = monitorEventLoopDelay({ resolution: RESOLUTION_MS });
delay.enable();
let busy = performance.eventLoopUtilization();

process.on('message', () => {
  const longest = Math.max(0, delay.max / 1e6 - RESOLUTION_MS);
  const used = performance.eventLoopUtilization(busy);
  process.send?.({ longest: delay.count > 0 ? longest : 0, busy: used.utilization });
  delay.reset();
  busy = performance.eventLoopUtilization();
});
process.channel?.unref();
