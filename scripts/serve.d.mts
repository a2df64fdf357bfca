import type { ChildProcess } from 'node:child_process';

export function startServer(port: number, host?: string): Promise<{ origin: string; server: ChildProcess }>;
export function freePort(wished: number): Promise<number>;
