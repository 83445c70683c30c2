import type { LadderRowKind, LevelGrade, Side } from '@/types/data';

/** A price drawn across the chart. */
export interface PriceLine {
    key: string;
    kind: LadderRowKind;
    value: number;
    price: string;
    label: string;
    grade: LevelGrade | null;
    side: Side | null;
    movable: boolean;
}

/** Something that happened at a price in a session. */
export interface ChartMark {
    session: string;
    value: number;
    kind: 'fill' | 'exit';
    label: string;
}
