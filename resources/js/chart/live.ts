import type { ComputedRef, Ref } from 'vue';
import type { LadderRowData } from '@/types/data';
import type { Point } from './measure';
import type { Snapped } from './snap';

/**
 * What follows the pointer from frame to frame. It is handed on as a box of refs, so that only the small parts that read
 * it are drawn anew, not the chart with its hundreds of bars.
 */
export interface Live {
    hover: Ref<{ index: number; x: number; y: number } | null>;
    ghost: Ref<number | null>;
    snapped: Ref<Snapped | null>;
    measuring: Ref<{ from: Point; to: Point } | null>;
}

/** The row on the move, as it stands now. */
export interface Motion {
    row: ComputedRef<LadderRowData | null>;
}
