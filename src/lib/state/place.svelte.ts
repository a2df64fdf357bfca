/** One thermostat's place in the open job, with everything that the core says about it, derived as the job changes. */
import { untrack } from 'svelte';
import type { Identification } from '$core/identify/identify';
import type { DeviceFacts } from '$core/job/device-facts';
import { thermostatFindings } from '$core/job/record-findings';
import type { Equipment, Job, Thermostat } from '$core/job/schema';
import { unmatchedFindings } from '$core/reading/match-ends';
import { safetyOf, type SafetyStanding } from '$core/safety/standing';
import type { BeforeBuying } from '$core/survey/before-buying';
import type { HouseStudy } from '$core/survey/house-study';
import type { Match } from '$core/match/matched';
import type { Look } from '$core/plan/looks';
import type { Plan } from '$core/plan/plan';
import { mayChangeTheWay, nextStep, type NextStep } from '$core/plan/next-step';
import type { MainsGuide } from '../mains/guide';
import { standingOf, type Standing, type StandingFacts } from '$core/plan/standing';
import { sortFindings, type Finding } from '$core/findings/finding';
import { wiringOf } from '$core/wiring/from-job';
import type { Wiring } from '$core/wiring/graph';
import { clock } from './clock.svelte';
import type { PlannedPlace } from '$core/plan/planned-place';
import type { Planner, PlannerHere } from './planner';
import type { JobSession } from './session.svelte';

/** So long nothing is edited before looks are weighed. */
const QUIET_MS = 400;

export class Place {
  readonly #session: () => JobSession;
  readonly #id: () => string;

  readonly #planner: Planner | null;
  readonly #plannerHere: PlannerHere | null;
  #made: ({ readonly job: Job } & PlannedPlace) | null = $state.raw(null);
  #waiting: (() => void)[] = [];
  #tries = $state(0);
  /** What is worth looking at next, best first; nothing while that is being worked out. */
  looks: readonly Look[] = $state.raw([]);
  /** How much of the plan that is being made is done, 0 to 1. */
  progress = $state(0);
  /** Why no plan could be made; empty where one could. */
  trouble = $state('');

  constructor(session: () => JobSession, id: () => string, planner: Planner | PlannerHere) {
    this.#session = session;
    this.#id = id;
    this.#plannerHere = 'planHere' in planner ? planner : null;
    this.#planner = 'planHere' in planner ? null : planner;
  }

  get session(): JobSession {
    return this.#session();
  }

  get job(): Job {
    return this.session.job;
  }

  readonly thermostat: Thermostat = $derived.by(
    () => this.job.thermostats.find((thermostat) => thermostat.id === this.#id()) ?? this.job.thermostats[0]!
  );
  readonly wiring: Wiring = $derived.by(() => wiringOf(this.job, this.thermostat));
  readonly machines: readonly Equipment[] = $derived.by(() =>
    this.job.equipment.filter((machine) => this.thermostat.equipment.includes(machine.id))
  );
  readonly recordFindings: readonly Finding[] = $derived.by(() =>
    sortFindings([
      ...thermostatFindings(this.job, this.thermostat),
      ...unmatchedFindings(this.thermostat),
      ...this.#place.gone
    ])
  );
  /** As it is after the last plan: a newer one follows within moments of an edit. */
  readonly identification: Identification = $derived.by(() => this.#place.plan.identification);
  readonly matches: readonly Match[] = $derived.by(() => this.#place.matches);
  /** How the chosen thermostat fits; null where none is chosen, or it has gone. */
  readonly match: Match | null = $derived.by(() => {
    const { device } = this.thermostat.choice;
    return this.matches.find((match) => match.device.id === device) ?? null;
  });
  readonly device: DeviceFacts | null = $derived.by(() => this.match?.device ?? null);
  /** The house worked through: cooling, wall work, saving. */
  readonly study: HouseStudy = $derived.by(() => this.#place.study);
  readonly buying: BeforeBuying = $derived.by(() => this.#place.buying);
  readonly safety: SafetyStanding = $derived.by(() =>
    safetyOf(this.thermostat, this.#place.known, clock.now)
  );
  readonly #here: PlannedPlace | null = $derived.by(
    () => this.#plannerHere?.planHere(this.job, this.thermostat) ?? null
  );

  /** A plan of this thermostat is at hand, though perhaps of the job before the last edit. */
  get planned(): boolean {
    return this.#planner === null || this.#made?.plan.thermostat === this.thermostat.id;
  }

  /** A newer plan is being made. */
  get planning(): boolean {
    return this.#planner !== null && this.#made?.job !== this.job && this.trouble === '';
  }

  /** The last plan that was made; a newer one follows within moments of an edit. */
  get plan(): Plan {
    return this.#place.plan;
  }

  /** The last plan with what comes with it. Throws before there is one: no page is drawn until then (`planned`). */
  get #place(): PlannedPlace {
    const made = this.#here ?? this.#made;
    if (!made) throw new Error('No plan is made yet');
    return made;
  }

  /** The plan of the job as it is now. */
  async freshPlan(): Promise<Plan> {
    while (this.planning) await new Promise<void>((done) => this.#waiting.push(done));
    return this.plan;
  }

  /** Has the plan made anew for the job as it is; returns the way to stop. Called whenever job or thermostat change, and to try again. */
  follow(): () => void {
    const { job, thermostat } = this;
    void this.#tries;
    const stop = new AbortController();
    this.progress = 0;
    const watch = { signal: stop.signal, onProgress: (share: number) => void (this.progress = share) };
    const first = untrack(() => !this.planned);
    const planned = async () => {
      // For the first one the whole job goes over: in a turn of its own, after the frame of the page is made.
      if (first) await turn();
      return stop.signal.aborted ? null : (this.#planner?.plan(job, thermostat.id, watch) ?? null);
    };
    planned().then(
      async (made) => {
        // It is unpacked, and drawn in a turn of its own as well.
        if (!this.planned) await turn();
        if (made === null || stop.signal.aborted) return;
        this.#made = { job, ...made };
        this.trouble = '';
        this.#settle();
        void this.#look(job, thermostat.id, stop.signal);
      },
      (error: unknown) => {
        if (stop.signal.aborted) return;
        this.trouble = `No plan was made: ${error instanceof Error ? error.message : String(error)}`;
        this.#settle();
      }
    );
    return () => stop.abort();
  }

  /** What is worth looking at next, once nothing more was edited for a moment: it takes many plans. */
  async #look(job: Job, thermostat: string, signal: AbortSignal): Promise<void> {
    this.looks = [];
    await new Promise((done) => setTimeout(done, QUIET_MS));
    if (signal.aborted || !this.#planner || !mayChangeTheWay(this.thermostat, this.plan)) return;
    // Without them there is no word of what to look at next; the plan stands without it.
    const looks = await this.#planner.looks(job, thermostat, signal).catch(() => []);
    if (!signal.aborted) this.looks = looks;
  }

  /** After a plan that failed. */
  tryAgain(): void {
    this.trouble = '';
    this.#tries += 1;
  }

  #settle(): void {
    for (const go of this.#waiting.splice(0)) go();
  }

  readonly standing: Standing = $derived.by(() => standingOf(this.#standingFacts()));
  /** Stations and next step of mains controls, loaded where such are recorded. */
  guide: MainsGuide | null = $state.raw(null);

  /** Called whenever job or thermostat change. */
  loadGuide(): void {
    if (this.thermostat.mains === null || this.guide !== null) return;
    void import('../mains/guide').then(({ MAINS_GUIDE }) => (this.guide = MAINS_GUIDE));
  }

  /** What is most worth doing now. */
  readonly next: NextStep = $derived.by(() => {
    const { mains } = this.thermostat;
    if (mains !== null)
      return (
        this.guide?.nextMains(mains, this.job.closed !== null) ?? { station: 'strip', what: 'mains-choose' }
      );
    return nextStep({
      ...this.#standingFacts(),
      standing: this.standing,
      looks: this.looks,
      closed: this.job.closed !== null,
      machines: this.machines.map(({ name }) => name)
    });
  });

  #standingFacts(): StandingFacts {
    const { thermostat, identification, safety, recordFindings, plan, match } = this;
    return { thermostat, identification, safety, recordFindings, plan, match };
  }

  /** Ends that nobody has looked at. */
  readonly unread: { readonly wall: number; readonly equipment: number } = $derived.by(() => ({
    wall: this.thermostat.conductors.filter((conductor) => conductor.near.state === 'unseen').length,
    equipment: this.thermostat.conductors.filter((conductor) => conductor.far.state === 'unseen').length
  }));
}

/** A turn of its own for what follows: what waits, a tap or a frame, comes before it. */
function turn(): Promise<void> {
  return new Promise((done) => setTimeout(done));
}
