import { stillLine, type PriceLine } from './lines';
import type { EditionPartData } from '@/types/data';

/** The prices that an edition says of an instrument: as published, drawn on the scale of today. */
export function linesOf(part: EditionPartData): PriceLine[] {
    const line = (
        kind: PriceLine['kind'],
        key: string,
        price: string,
        label: string,
        side: PriceLine['side'] = null,
    ): PriceLine => stillLine(kind, key, price, label, side, Number(price) / part.units);
    return [
        ...part.levels.map((level, i): PriceLine => ({
            ...line('level', `level-${i}`, level.price, ''),
            low: level.low / part.units,
            high: level.high / part.units,
            grade: level.grade,
        })),
        ...shared(
            part.setups.flatMap((setup) => [
                ...setup.entries.map((price, i) => ({
                    of: setup.name,
                    line: line('entry', `entry-${setup.key}-${i}`, price, i === 0 ? 'entry' : `entry ${i + 1}`, setup.side),
                })),
                { of: setup.name, line: line('stop', `stop-${setup.key}`, setup.stop, 'stop', setup.side) },
                ...setup.targets.map((target, i) => ({
                    of: setup.name,
                    line: line('target', `target-${setup.key}-${i}`, target.price, `target ${i + 1}`, setup.side),
                })),
            ]),
        ),
    ];
}

/** A stop or target that variants share is drawn once; what belongs to one alone bears its name. */
function shared(lines: { of: string; line: PriceLine }[]): PriceLine[] {
    const same = new Map<string, { of: string; line: PriceLine }[]>();
    for (const one of lines) {
        const key = `${one.line.kind} ${one.line.price} ${one.line.side}`;
        same.set(key, [...(same.get(key) ?? []), one]);
    }
    return [...same.values()].flatMap(([first, ...others]) =>
        first === undefined
            ? []
            : [others.length > 0 || first.of === '' ? first.line : { ...first.line, label: `${first.line.label}, ${first.of}` }],
    );
}
