import { computed, onBeforeUnmount, shallowRef, type Ref } from 'vue';
import type { LadderRowData, WorkbenchData } from '@/types/data';
import { draggedR, nudge, snap, type Grid } from './price';

/** How long the keys must rest before a nudged price is kept, so that a run of presses is one change. */
const REST = 350;

/** What is moved: all of a row, or one edge of a zone. */
type Part = 'all' | 'low' | 'high';

interface Move {
    key: string;
    part: Part;
    price: string;
}

/**
 * A price of the ladder on the move, by pointer or by key: it is shown at once, with percent and R from the prices at
 * hand, and kept when the move ends. An edge of a zone is told as the key of its row with ":low" or ":high".
 */
export function useMovingPrice(
    bench: Ref<WorkbenchData>,
    grid: Ref<Grid>,
    keep: (row: LadderRowData, price: string) => Promise<boolean>,
    keepEdges: (row: LadderRowData, low: string, high: string) => Promise<boolean> = () => Promise.resolve(false),
) {
    const moved = shallowRef<Move | null>(null);
    let resting: number | undefined;

    const find = (key: string | undefined): LadderRowData | undefined => bench.value.ladder.find((row) => row.key === key);

    /** The row on the move as it stands now; the ladder of the bench stays as it was until the move is kept. */
    const row = computed<LadderRowData | null>(() => {
        const move = moved.value;
        const from = move === null ? undefined : find(move.key);
        return move === null || from === undefined ? null : shown(from, move);
    });
    const moving = computed(() => moved.value?.key ?? null);

    function shown(row: LadderRowData, { part, price }: Move): LadderRowData {
        const at = Number(price);
        const close = bench.value.ladder.find((one) => one.kind === 'last')?.value ?? at;
        const [low, high] = edges(row, part, at);
        // the edge that price comes to first, as the server tells it
        const value = part === 'all' ? at : high < close ? high : low > close ? low : row.value;
        const scale = bench.value.setup.scale;
        const movesTheScale = row.kind === 'entry' || row.kind === 'stop';
        return {
            ...row,
            price: value.toFixed(grid.value.decimals),
            value,
            low,
            high,
            span: low === high ? '' : `${low.toFixed(grid.value.decimals)}–${high.toFixed(grid.value.decimals)}`,
            percent: ((value / close - 1) * 100).toFixed(2),
            atr: null,
            r: scale === null || movesTheScale ? null : draggedR(value, scale.entry, scale.stop),
        };
    }

    /** The edges of a row while it is moved; an edge pulled past the other one turns about it. */
    function edges(row: LadderRowData, part: Part, at: number): [number, number] {
        switch (part) {
            case 'low':
                return [Math.min(at, row.high), Math.max(at, row.high)];
            case 'high':
                return [Math.min(at, row.low), Math.max(at, row.low)];
            default:
                return [row.low + at - row.value, row.high + at - row.value];
        }
    }

    function start(key: string): void {
        const [name, part] = key.split(':');
        const row = find(name);
        if (row !== undefined && name !== undefined) {
            const edge = part === 'low' || part === 'high' ? part : 'all';
            moved.value = { key: name, part: edge, price: edge === 'all' ? row.price : row[edge].toFixed(grid.value.decimals) };
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
        moved.value = { key: row.key, part: 'all', price: nudge(from, ticks, grid.value) };
        window.clearTimeout(resting);
        resting = window.setTimeout(() => void end(), REST);
    }

    /** Keep the price where it is now. */
    async function end(): Promise<void> {
        window.clearTimeout(resting);
        const move = moved.value;
        const row = find(move?.key);
        if (move !== null && row !== undefined) {
            if (move.part === 'all') {
                if (row.price !== move.price) {
                    await keep(row, move.price);
                }
            } else {
                const [low, high] = edges(row, move.part, Number(move.price));
                if (low !== row.low || high !== row.high) {
                    await keepEdges(row, low.toFixed(grid.value.decimals), high.toFixed(grid.value.decimals));
                }
            }
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

    return { moving, motion: { row }, start, move, nudgeRow, end };
}
