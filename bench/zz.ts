import { planFor } from '$core/plan/plan';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
for (let i = 0; i < 60; i += 1) { const job = structuredClone(SCHOOLHOUSE); for (const t of job.thermostats.slice(0,2)) planFor(job, t); }
const t = performance.now();
for (let i = 0; i < 60; i += 1) { const job = structuredClone(SCHOOLHOUSE); for (const t of job.thermostats.slice(0,2)) planFor(job, t); }
console.log((performance.now() - t) / 120);
