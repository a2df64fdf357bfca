import { agree, purposeOf } from '../../explain/agreement';
import { finding } from '../../findings/finding';
import { ref } from '../../findings/refs';
import { deviceAtEnd, landed, landedTerminal, markAt, printedMark, type Wiring } from '../../wiring/graph';
import type { Repair, RepairSituation } from './types';

/**
 * Ends that were measured to be one wire and sit on screws that do not fit: the machine's end goes where the wall's says, all of them at once,
 * since two that were swapped free each other's screws.
 */
export const moveWrongEnd: Repair = {
  id: 'move-wrong-end',
  always: true,
  find(situation) {
    const moves = wrongEnds(situation);
    if (moves.length === 0) return [];
    const { wiring } = situation;
    const leaving = new Set(moves.map((move) => move.from));
    const staying = wiring.strands.flatMap((strand) => {
      const far = landedTerminal(strand.far);
      return far === null || moves.some((move) => move.strand === strand.id) ? [] : [far];
    });
    const free = moves.filter((move) => !staying.includes(move.to) || leaving.has(move.to));
    if (free.length < moves.length) return [];
    return [
      {
        after: moved(wiring, free),
        findings: free.map(({ strand, name, machine, wall, from, to }) =>
          finding(
            'warn',
            'repair',
            {
              what: 'move-wrong-end',
              conductor: name,
              wall,
              from: printedMark(wiring, from),
              to: printedMark(wiring, to)
            },
            [ref.conductor(strand), ref.machine(machine)]
          )
        )
      }
    ];
  }
};

interface WrongEnd {
  readonly strand: string;
  readonly name: string;
  readonly machine: string;
  readonly wall: string;
  readonly from: string;
  readonly to: string;
}

function wrongEnds({ wiring, assumed, worlds }: RepairSituation): WrongEnd[] {
  const [likeliest] = worlds;
  if (!likeliest) return [];
  return wiring.strands.flatMap((strand): WrongEnd[] => {
    const [near, far] = [landedTerminal(strand.near), landedTerminal(strand.far)];
    const board = deviceAtEnd(wiring, strand.far);
    if (near === null || far === null || board?.kind !== 'board') return [];
    if (strand.continuity !== 'proven' || assumed.includes(strand.id)) return [];
    const [wallMark, farMark] = [markAt(wiring, near), markAt(wiring, far)];
    const [wall, is] = [wallMark && purposeOf(wallMark), farMark && purposeOf(farMark)];
    if (!wall || !is) return [];
    const around = { family: likeliest.world.family, servesFirstStage: true };
    if (agree({ near: wall, far: is }, around)) return [];
    const fits = board.screws.find((screw) =>
      screw.means.some((mark) => {
        const purpose = purposeOf(mark);
        return (
          purpose !== null && agree({ near: wall, far: purpose }, { ...around, servesFirstStage: false })
        );
      })
    );
    if (!fits) return [];
    return [
      {
        strand: strand.id,
        name: strand.name,
        machine: board.id,
        wall: printedMark(wiring, near),
        from: far,
        to: fits.id
      }
    ];
  });
}

function moved(wiring: Wiring, moves: readonly WrongEnd[]): Wiring {
  const to = new Map(moves.map((move) => [move.strand, move.to]));
  return {
    ...wiring,
    strands: wiring.strands.map((strand) => {
      const terminal = to.get(strand.id);
      return terminal === undefined ? strand : { ...strand, far: landed(terminal) };
    })
  };
}
