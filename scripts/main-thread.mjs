/**
 * What a page's main thread was at while something was done, by the browser's own trace. On a machine with fewer cores than threads a task may be
 * put aside in its middle for another thread: by the clock it is long then, though the thread did little. So both are told.
 */

/** One after the other: milliseconds by the clock, and of the thread's own work. */
export async function tasksWhile(browser, page, work) {
  // No more than the tasks themselves: what goes on inside them would slow them down.
  await browser.startTracing(page, { categories: ['toplevel'] });
  await work();
  const { traceEvents } = JSON.parse((await browser.stopTracing()).toString());
  const mains = new Set(
    traceEvents
      .filter(({ name, args }) => name === 'thread_name' && args.name === 'CrRendererMain')
      .map(({ pid, tid }) => `${pid} ${tid}`)
  );
  return traceEvents
    .filter(
      ({ name, ph, pid, tid }) =>
        name === 'ThreadControllerImpl::RunTask' && ph === 'X' && mains.has(`${pid} ${tid}`)
    )
    .map(({ dur = 0, tdur = dur }) => ({ clock: dur / 1000, own: tdur / 1000 }));
}

/** `tasks over 50 ms: 57, 63 ms (of its own work: 21, 30 ms); the most of its own work in one: 30 ms` */
export function saysOf(tasks) {
  const long = tasks.filter(({ clock }) => clock > 50);
  const list = (which) => long.map((task) => task[which].toFixed(0)).join(', ');
  const most = Math.max(0, ...tasks.map(({ own }) => own)).toFixed(0);
  const over = long.length === 0 ? 'none' : `${list('clock')} ms (of its own work: ${list('own')} ms)`;
  return `tasks over 50 ms: ${over}; the most of its own work in one: ${most} ms`;
}
