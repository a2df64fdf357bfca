/** The time, as far as the screens need it: a minute's grain, so that a proof of yesterday grows old while the page stays open. */
class Clock {
  now = $state(new Date().toISOString());

  constructor() {
    if (typeof window !== 'undefined') setInterval(() => (this.now = new Date().toISOString()), 60_000);
  }
}

export const clock = new Clock();
