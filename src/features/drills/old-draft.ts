import { cells, lines, type Draft, type FaultRow, type KitRow, type PartRow, type ZoneRow } from './draft';

/** A draft of before things of several parts were rows, as it was kept in a browser: nothing that was typed is lost. */
export function upgradedDraft(kept: Draft): Draft {
  const old = kept as unknown as {
    kit: unknown;
    faults: unknown;
    steps: { parts: unknown; zones: unknown }[];
  };
  const kit = typeof old.kit === 'string' ? lines(old.kit).map(kitRow) : kept.kit;
  const faults = typeof old.faults === 'string' ? lines(old.faults).map(faultRow) : kept.faults;
  const steps = kept.steps.map((step, index) => {
    const { parts, zones } = old.steps[index]!;
    return {
      ...step,
      parts: typeof parts === 'string' ? lines(parts).map(partRow) : step.parts,
      zones: typeof zones === 'string' ? lines(zones).map(zoneRow) : step.zones,
    };
  });
  return { ...kept, kit, faults, steps };
}

function kitRow(line: string): KitRow {
  const [count = '1', item = '', per = 'player', ...standIns] = cells(line);
  return { count, item, per, standIns: standIns.join(', ') };
}

function faultRow(line: string): FaultRow {
  const [fault = '', correction = ''] = line.split('=', 2).map((part) => part.trim());
  return { fault, correction: correction.replace(/!$/, '').trimEnd(), stepBack: correction.endsWith('!') };
}

function partRow(line: string): PartRow {
  // A name may have commas of its own: the numbers stand at the end.
  const [, name = line, partS = '', sides = '1'] =
    /^(.*?),\s*([\d.]+)\s*(?:,\s*([\d.]+)\s*)?$/.exec(line) ?? [];
  return { name: name.trim(), partS, sides };
}

function zoneRow(line: string): ZoneRow {
  const cut = line.lastIndexOf(',');
  return { label: line.slice(0, Math.max(0, cut)).trim(), points: line.slice(cut + 1).trim() };
}
