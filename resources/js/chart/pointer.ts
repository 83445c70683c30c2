import { computed, ref, type Ref } from 'vue';
import type { ChartData } from '@/types/data';
import type { PriceLine } from './lines';
import type { Point } from './measure';
import type { PriceScale, Window } from './scales';
import { snapTo, type Snapped } from './snap';

/** How wide what was found stands at the right edge, in pixels. */
export const STUB = 20;
/** How near the pointer must be to take hold of a line, in pixels. */
const GRIP = 4;
/** How far a press must travel to be a drag. */
const DRAG = 5;
/** Where the handles of a chosen level stand, from the right edge of the plot. */
const HANDLES = 48;

export interface PointerPlace {
    chart: ChartData;
    window: Window;
    bars: { x: (index: number) => number; slot: number };
    y: PriceScale;
    lines: PriceLine[];
    chosen: string | null;
    moving: string | null;
    plotWidth: number;
    plotHeight: number;
    interactive: boolean;
    /** whether points are being picked, for a line say */
    picking: boolean;
    snaps: boolean;
}

export interface PointerDoes {
    place: (value: number, snapped: Snapped | null) => void;
    pick: (point: Point, snapped: Snapped | null) => void;
    choose: (key: string) => void;
    moveStart: (key: string) => void;
    move: (value: number) => void;
    moveEnd: () => void;
    zoom: (factor: number, at: number) => void;
    pan: (bars: number) => void;
    /** hold the price scale between two prices; null lets it follow price again */
    hold: (ends: [number, number] | null) => void;
}

type Doing = 'nothing' | 'press' | 'ghost' | 'pan' | 'line' | 'measure' | 'scale' | 'pinch';

/**
 * What a pointer does on the chart: a click or an upright drag marks a level, a sideways drag moves through time, a drag
 * on the price axis stretches the scale, with Shift it measures, two fingers zoom.
 */
export function usePointer(place: Ref<PointerPlace>, does: PointerDoes) {
    const hover = ref<{ index: number; x: number; y: number } | null>(null);
    const ghost = ref<number | null>(null);
    const snapped = ref<Snapped | null>(null);
    const measuring = ref<{ from: Point; to: Point } | null>(null);
    let doing: Doing = 'nothing';
    let start = { x: 0, y: 0, window: 0, ends: [0, 1] as [number, number] };
    const fingers = new Map<number, { x: number; y: number }>();
    let spread = 0;

    function at(event: MouseEvent): { x: number; y: number } {
        const box = (event.currentTarget as Element).closest('svg')?.getBoundingClientRect() ?? new DOMRect();
        return { x: event.clientX - box.left, y: event.clientY - box.top };
    }

    function index(x: number): number {
        const { bars, window } = place.value;
        return Math.max(window.first, Math.min(window.last, Math.round(x / bars.slot) - 1 + window.first));
    }

    function within(y: number): number {
        return Math.max(0, Math.min(place.value.plotHeight, y));
    }

    function point(x: number, y: number): Point {
        return { index: index(x), value: place.value.y.invert(within(y)) };
    }

    function snap(x: number, y: number): Snapped | null {
        const { chart, window, snaps } = place.value;
        return snaps ? snapTo(chart, window, place.value.y, index(x), y) : null;
    }

    /** A handle of the chosen level under the pointer, as the key of that edge. */
    function handle(x: number, y: number): string | null {
        const { lines, chosen, plotWidth } = place.value;
        const line = lines.find((one) => one.key === chosen && one.edges && one.kind === 'level');
        if (line === undefined || x < plotWidth - HANDLES || x > plotWidth) {
            return null;
        }
        const high = Math.abs(place.value.y(line.high) - y);
        const low = Math.abs(place.value.y(line.low) - y);
        if (Math.min(high, low) > GRIP + 2) {
            return null;
        }
        // of a single price the way the pointer came says which edge is pulled: it is told by the first move
        return `${line.key}:${high <= low && y <= place.value.y(line.high) ? 'high' : 'low'}`;
    }

    /**
     * The line under the pointer: a zone is held by its edges, what was found by its stub at the right; a plan price goes
     * before the level it may have been made from.
     */
    function nearest(x: number, y: number): PriceLine | null {
        const reach = (line: PriceLine): number =>
            line.curve !== null
                ? Infinity
                : Math.min(Math.abs(place.value.y(line.high) - y), Math.abs(place.value.y(line.low) - y));
        const onStub = (line: PriceLine): boolean =>
            line.kind === 'found' &&
            x >= place.value.plotWidth - STUB &&
            y >= place.value.y(line.high) - GRIP &&
            y <= place.value.y(line.low) + GRIP;
        const near = place.value.lines.filter((line) => (line.movable && reach(line) <= GRIP) || onStub(line));
        const rank = (line: PriceLine): number => (line.kind === 'found' ? 2 : line.kind === 'level' ? 1 : 0);
        near.sort((a, b) => rank(a) - rank(b) || a.high - a.low - (b.high - b.low) || reach(a) - reach(b));
        return near[0] ?? null;
    }

    function down(event: PointerEvent): void {
        const { interactive, plotWidth, plotHeight, picking, window } = place.value;
        if (!interactive || event.button !== 0) {
            return;
        }
        const { x, y } = at(event);
        (event.currentTarget as Element).setPointerCapture(event.pointerId);
        fingers.set(event.pointerId, { x, y });
        if (fingers.size === 2) {
            ghost.value = null;
            doing = 'pinch';
            spread = distance();
            return;
        }
        const [low = 0, high = 1] = place.value.y.domain();
        start = { x, y, window: window.first, ends: [low, high] };
        if (y > plotHeight) {
            doing = 'pan';
        } else if (x > plotWidth) {
            doing = 'scale';
        } else if (event.shiftKey) {
            doing = 'measure';
            const from = point(x, y);
            measuring.value = { from, to: from };
        } else if (picking) {
            doing = 'press';
        } else {
            const edge = handle(x, y);
            const line = edge === null ? nearest(x, y) : null;
            doing = 'press';
            if (edge !== null) {
                doing = 'line';
                does.moveStart(edge);
            } else if (line?.movable === true) {
                doing = 'line';
                does.choose(line.key);
                does.moveStart(line.key);
            } else if (line !== null) {
                does.choose(line.key);
                doing = 'nothing';
            }
        }
    }

    function over(event: PointerEvent): void {
        const { plotWidth, plotHeight, picking, moving, interactive } = place.value;
        const { x, y } = at(event);
        if (doing !== 'line') {
            hover.value = x <= plotWidth && y <= plotHeight && x >= 0 && y >= 0 ? { index: index(x), x, y } : null;
        }
        if (!interactive) {
            return;
        }
        if (fingers.has(event.pointerId)) {
            fingers.set(event.pointerId, { x, y });
        }
        switch (doing) {
            case 'pinch': {
                const now = distance();
                if (Math.abs(now - spread) > 8) {
                    does.zoom(spread / now, index(center()));
                    spread = now;
                }
                break;
            }
            case 'line':
                if (moving !== null) {
                    snapped.value = snap(x, y);
                    does.move(snapped.value?.value ?? place.value.y.invert(within(y)));
                }
                break;
            case 'press':
                if (Math.abs(x - start.x) > DRAG || Math.abs(y - start.y) > DRAG) {
                    doing = Math.abs(x - start.x) > Math.abs(y - start.y) || picking ? 'pan' : 'ghost';
                }
                break;
            case 'pan':
                does.pan(Math.round((start.x - x) / place.value.bars.slot) - (place.value.window.first - start.window));
                break;
            case 'scale':
                does.hold(stretched(start.ends, 2 ** ((y - start.y) / 150), place.value.y));
                break;
            case 'measure':
                if (measuring.value !== null) {
                    measuring.value = { ...measuring.value, to: point(x, y) };
                }
                break;
        }
        if (doing === 'ghost' || (picking && doing !== 'pan')) {
            snapped.value = snap(x, y);
            ghost.value = snapped.value === null ? within(y) : place.value.y(snapped.value.value);
        }
    }

    function up(event: PointerEvent): void {
        const { x, y } = at(event);
        fingers.delete(event.pointerId);
        if (doing === 'line') {
            does.moveEnd();
        } else if (doing === 'press' || doing === 'ghost') {
            const held = snap(x, y);
            if (place.value.picking) {
                const free = point(x, y);
                does.pick(held === null ? free : { index: held.index, value: held.value }, held);
            } else {
                does.place(held?.value ?? place.value.y.invert(within(y)), held);
            }
        }
        doing = fingers.size > 0 ? 'pan' : 'nothing';
        ghost.value = null;
        snapped.value = null;
    }

    function cancel(): void {
        fingers.clear();
        doing = 'nothing';
        ghost.value = null;
        snapped.value = null;
    }

    function leave(): void {
        hover.value = null;
        if (doing === 'nothing') {
            ghost.value = null;
            snapped.value = null;
        }
    }

    function wheel(event: WheelEvent): void {
        const { x } = at(event);
        if (x > place.value.plotWidth) {
            const [low = 0, high = 1] = place.value.y.domain();
            does.hold(stretched([low, high], event.deltaY > 0 ? 1.12 : 1 / 1.12, place.value.y));
        } else if (Math.abs(event.deltaX) > Math.abs(event.deltaY) || event.shiftKey) {
            does.pan(Math.sign(event.deltaX || event.deltaY) * 5);
        } else {
            does.zoom(event.deltaY > 0 ? 1.15 : 1 / 1.15, index(x));
        }
    }

    /** Twice on the price axis: it follows price again. */
    function twice(event: MouseEvent): void {
        if (at(event).x > place.value.plotWidth) {
            does.hold(null);
        }
    }

    function distance(): number {
        const [a, b] = [...fingers.values()];
        return a === undefined || b === undefined ? 1 : Math.max(1, Math.hypot(a.x - b.x, a.y - b.y));
    }

    function center(): number {
        const all = [...fingers.values()];
        return all.reduce((sum, one) => sum + one.x, 0) / Math.max(1, all.length);
    }

    const takesHold = computed(() => {
        const here = hover.value;
        if (place.value.moving !== null || here === null || !place.value.interactive || place.value.picking) {
            return false;
        }
        return handle(here.x, here.y) !== null || nearest(here.x, here.y)?.movable === true;
    });

    return { hover, ghost, snapped, measuring, takesHold, down, over, up, cancel, leave, wheel, twice };
}

/** The ends of a scale drawn apart or together about their middle, as the scale counts. */
function stretched([low, high]: [number, number], factor: number, y: PriceScale): [number, number] {
    const isLog = Math.abs(y((low + high) / 2) - (y(low) + y(high)) / 2) > 0.5;
    if (isLog) {
        const middle = Math.sqrt(low * high);
        const half = Math.sqrt(high / low) ** factor;
        return [middle / half, middle * half];
    }
    const middle = (low + high) / 2;
    const half = ((high - low) / 2) * factor;
    return [Math.max(high * 1e-6, middle - half), middle + half];
}
