import { computed, onBeforeUnmount, ref, type Ref } from 'vue';
import type { LadderRowData, WorkbenchData } from '@/types/data';
import { draggedR, nudge, snap, type Grid } from './price';

/** How long the keys must rest before a nudged price is kept, so that a run of presses is one change. */
const REST = 350;

/**
 * A price of the ladder on the move, by pointer or by key: it is shown at once, with percent and R from the prices at
 * hand, and kept when the move ends.
 */
export function useMovingPrice(
    bench: Ref<WorkbenchData>,
    grid: Ref<Grid>,
    keep: (row: LadderRowData, price: string) => Promise<boolean>,
) {
    const moved = ref<{ key: string; price: string } | null>(null);
    let resting: number | undefined;

    const find = (key: string | undefined): LadderRowData | undefined => bench.value.ladder.find((row) => row.key === key);

    const rows = computed<LadderRowData[]>(() => {
        const move = moved.value;
        const ladder = bench.value.ladder;
        return move === null
            ? ladder
            : ladder.map((row) => (row.key === move.key ? shown(row, move.price) : row)).sort((a, b) => b.value - a.value);
    });

    function shown(row: LadderRowData, price: string): LadderRowData {
        const value = Number(price);
        const close = bench.value.ladder.find((one) => one.kind === 'last')?.value ?? value;
        const scale = bench.value.setup.scale;
        const movesTheScale = row.kind === 'entry' || row.kind === 'stop';
        return {
            ...row,
            price,
            value,
            percent: ((value / close - 1) * 100).toFixed(2),
            atr: null,
            r: scale === null || movesTheScale ? null : draggedR(value, scale.entry, scale.stop),
        };
    }

    function start(key: string): void {
        const row = find(key);
        if (row !== undefined) {
            moved.value = { key, price: row.price };
        }
    }

    function move(value: number): void {
        if (moved.value !== null) {
            moved.value = { ...moved.value, price: snap(value, grid.value) };
        }
    }

    function nudgeRow(row: LadderRowData, ticks: number): void {
        if (moved.value !== null && moved.value.key !== row.key) {
            void end();
        }
        const from = moved.value?.key === row.key ? moved.value.price : row.price;
        moved.value = { key: row.key, price: nudge(from, ticks, grid.value) };
        window.clearTimeout(resting);
        resting = window.setTimeout(() => void end(), REST);
    }

    /** Keep the price where it is now. */
    async function end(): Promise<void> {
        window.clearTimeout(resting);
        const move = moved.value;
        const row = find(move?.key);
        if (move !== null && row !== undefined && row.price !== move.price) {
            await keep(row, move.price);
        }
        if (moved.value === move) {
            moved.value = null;
        }
    }

    onBeforeUnmount(() => {
        if (moved.value !== null) {
            void end();
        }
    });

    return { moving: computed(() => moved.value?.key ?? null), rows, start, move, nudgeRow, end };
}
