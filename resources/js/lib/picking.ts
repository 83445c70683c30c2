import { computed, ref, type ComputedRef, type Ref } from 'vue';
import type { Point } from '@/chart/measure';
import type { ChartData, LadderRowData } from '@/types/data';
import type { LevelChanges } from './bench';
import { snap, type Grid } from './price';

/** What points are picked for. */
export type Pick = 'line' | 'swing' | 'channel';

export interface PickingDoes {
    mark: (level: LevelChanges) => Promise<unknown>;
    describe: (row: LadderRowData, changes: LevelChanges) => Promise<unknown>;
}

/** Points picked on the chart: two of a line or of a move for its ratios, one of the other line of a channel. */
export function usePicking(
    chart: Ref<ChartData>,
    grid: Ref<Grid>,
    chosenRow: ComputedRef<LadderRowData | null>,
    log: Ref<boolean>,
    does: PickingDoes,
) {
    const picking = ref<{ what: Pick; points: Point[] } | null>(null);
    const words = computed(() => {
        if (picking.value === null) {
            return null;
        }
        const { what, points } = picking.value;
        if (what === 'channel') {
            return 'Channel: pick a point of the other line. Esc leaves it.';
        }
        const name = what === 'line' ? 'Line' : 'Ratios of a move';
        return `${name}: pick the ${points.length === 0 ? 'first' : 'second'} point. Esc leaves it.`;
    });

    function pick(what: Pick): void {
        picking.value = { what, points: [] };
    }

    function leave(): void {
        picking.value = null;
    }

    async function picked(point: Point): Promise<void> {
        const now = picking.value;
        if (now === null) {
            return;
        }
        const [from, to] = [...now.points, point];
        if (now.what === 'channel') {
            leave();
            if (chosenRow.value !== null) {
                await does.describe(chosenRow.value, { parallel: anchor(point) });
            }
        } else if (from === undefined || to === undefined) {
            picking.value = { ...now, points: [point] };
        } else {
            leave();
            await does.mark({
                form: now.what,
                from: anchor(from),
                to: anchor(to),
                // a line that was seen straight stays straight
                ...(now.what === 'line' && log.value && { logarithmic: true }),
            });
        }
    }

    function anchor({ index, value }: Point): { session: string; price: string } {
        return { session: chart.value.sessions[index] ?? '', price: snap(value, grid.value) };
    }

    return { picking, words, pick, picked, leave };
}
