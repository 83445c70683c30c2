import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import type { ChartData } from '@/types/data';
import type { PriceLine } from './lines';
import PriceChart from './PriceChart.vue';
import { barScale, priceScale } from './scales';

const chart: ChartData = {
    timeFrame: '1d',
    times: [],
    decimals: 2,
    sessions: ['2026-10-12', '2026-10-13', '2026-10-14', '2026-10-15'],
    open: [40, 41, 42, 41],
    high: [41, 42.5, 43, 42],
    low: [39, 40.5, 41, 40.5],
    close: [41, 42, 41.5, 41],
    volume: [1000, 4000, 2000, 3000],
    averages: [{ name: 'EMA 20', values: [40, 40.5, 41, 41.2] }],
    extended: [],
    panes: [],
    marks: [],
    unfinished: true,
    publishedAfter: 2,
};
const window = { first: 0, last: 3 };
const line = (key: string, kind: PriceLine['kind'], value: number): PriceLine => ({
    key,
    kind,
    value,
    low: value,
    high: value,
    price: value.toFixed(2),
    label: kind,
    grade: kind === 'level' ? 'major' : null,
    side: 'long',
    movable: true,
    edges: kind === 'level',
    curve: null,
    upper: null,
});

function draw(props = {}) {
    return mount(PriceChart, {
        props: {
            chart,
            window,
            y: priceScale(chart, window, [], 280),
            width: 600,
            height: 300,
            lines: [line('stop', 'stop', 40), line('level-1', 'level', 40.02), line('entry', 'entry', 41)],
            scale: { entry: 41, stop: 40 },
            name: 'BRKF.Q',
            interactive: true,
            ...props,
        },
    });
}

describe('the chart', () => {
    it('reads out the last bar with its change and that its session is under way', () => {
        const text = draw().get('figcaption').text();
        expect(text).toContain('Thu, 15 Oct 2026');
        expect(text).toContain('under way');
        expect(text).toContain('C 41.00');
        expect(text).toContain('−1.20 %');
        expect(text).toContain('volume 3,000');
    });

    it('tells the same in a table for screen readers', () => {
        const cells = draw().get('table').findAll('tbody tr').at(1)?.findAll('td');
        expect(cells?.map((cell) => cell.text())).toEqual(['2026-10-13', '41.00', '42.50', '40.50', '42.00', '4000']);
    });

    it('shows R beside the price as soon as there is a scale', () => {
        expect(
            draw()
                .findAll('.r-axis text')
                .map((one) => one.text()),
        ).toEqual(['−2 R', '−1 R', '0 R', '+1 R', '+2 R']);
        expect(draw({ scale: null }).find('.r-axis').exists()).toBe(false);
    });

    it('draws the plan over the levels', () => {
        const kinds = draw()
            .findAll('line.line')
            .map((one) => one.classes()[1]);
        expect(kinds).toEqual(['level', 'stop', 'entry']);
    });

    const y = priceScale(chart, window, [], 280);
    const press = async (wrapper: ReturnType<typeof draw>, path: [number, number][], more = {}) => {
        const svg = wrapper.get('svg');
        const [[x, at] = [0, 0], ...rest] = path;
        await svg.trigger('pointerdown', { button: 0, pointerId: 1, clientX: x, clientY: at, ...more });
        for (const [toX, toY] of rest) {
            await svg.trigger('pointermove', { buttons: 1, pointerId: 1, clientX: toX, clientY: toY, ...more });
        }
        const [endX, endY] = path.at(-1) ?? [0, 0];
        await svg.trigger('pointerup', { pointerId: 1, clientX: endX, clientY: endY });
    };

    it('marks a price where the pointer lets go, and takes hold of a plan price before a level near it', async () => {
        const wrapper = draw({ snaps: false });
        await press(wrapper, [[100, y(42)]]);
        expect((wrapper.emitted('place') as number[][])[0]?.[0]).toBeCloseTo(42);
        await press(wrapper, [
            [100, y(42)],
            [102, y(42.5)],
            [102, y(42.7)],
        ]);
        expect((wrapper.emitted('place') as number[][])[1]?.[0]).toBeCloseTo(42.7);

        await press(wrapper, [[100, y(40.02)]]);
        expect(wrapper.emitted('moveStart')).toEqual([['stop']]);
    });

    it('snaps a mark to the bar near the pointer and says to what', async () => {
        const wrapper = draw();
        const { x } = barScale(window, 600 - 64 - 40);
        await press(wrapper, [[x(1), y(42.5) + 4]]);
        expect(wrapper.emitted('place')?.[0]).toEqual([42.5, { index: 1, what: 'high', value: 42.5 }]);
    });

    it('moves through time on a sideways drag, and stretches the scale on its axis', async () => {
        const wrapper = draw();
        await press(wrapper, [
            [300, 60],
            [200, 62],
            [100, 62],
        ]);
        expect(wrapper.emitted('place')).toBeUndefined();
        expect((wrapper.emitted('pan') as number[][]).every(([bars]) => (bars ?? 0) > 0)).toBe(true);
        await press(wrapper, [
            [520, 100],
            [520, 250],
        ]);
        const [low, high] = y.domain() as [number, number];
        const [held] = wrapper.emitted('hold')?.[0] as [[number, number]];
        expect(held[1] - held[0]).toBeCloseTo((high - low) * 2);
    });

    it('measures with Shift, and zooms by the wheel about the bar at the pointer', async () => {
        const wrapper = draw({ atr: 1 });
        const { x } = barScale(window, 600 - 64 - 40);
        await press(
            wrapper,
            [
                [x(0), y(40)],
                [x(3), y(42)],
            ],
            { shiftKey: true },
        );
        expect(wrapper.findAll('.measure text').map((one) => one.text())).toEqual([
            '+2.00',
            '+5.00 %',
            '+2.0 ATR',
            '3 bars',
            '+2.00 R',
        ]);
        await wrapper.get('svg').trigger('wheel', { deltaY: 100, clientX: x(2), clientY: 50 });
        expect(wrapper.emitted('zoom')).toEqual([[1.15, 2]]);
    });

    it('zooms with two fingers', async () => {
        const wrapper = draw();
        const svg = wrapper.get('svg');
        const finger = (type: string, pointerId: number, clientX: number) =>
            svg.trigger(type, { button: 0, buttons: 1, pointerId, clientX, clientY: 100 });
        await finger('pointerdown', 1, 200);
        await finger('pointerdown', 2, 300);
        await finger('pointermove', 2, 400);
        expect((wrapper.emitted('zoom') as number[][])[0]?.[0]).toBeCloseTo(0.5);
        await finger('pointerup', 2, 400);
        await finger('pointerup', 1, 200);
        expect(wrapper.emitted('place')).toBeUndefined();
    });

    it('picks points instead of marking while points are asked for', async () => {
        const wrapper = draw({ picked: [], snaps: false });
        const { x } = barScale(window, 600 - 64 - 40);
        await press(wrapper, [[x(1), y(40)]]);
        expect(wrapper.emitted('place')).toBeUndefined();
        expect(wrapper.emitted('pick')?.[0]?.[0]).toMatchObject({ index: 1 });
    });

    it('draws a zone as a band whose edges can be pulled, and a line as a curve', async () => {
        const zone = { ...line('level-9', 'level', 42), low: 41.5 };
        const sloping = { ...line('level-8', 'level', 41), curve: [null, 40, 40.5, 41, 41.5], edges: false };
        const wrapper = draw({ lines: [zone, sloping], chosen: 'level-9', snaps: false });
        expect(wrapper.find('rect.band').exists()).toBe(true);
        expect(wrapper.get('path.curve').attributes('d')?.match(/[ML]/g)).toEqual(['M', 'L', 'L', 'L']);
        await press(wrapper, [[600 - 64 - 40 - 40, y(41.5) + 1]]);
        expect(wrapper.emitted('moveStart')).toEqual([['level-9:low']]);
    });

    it('does nothing to a press when it is only read', async () => {
        const wrapper = draw({ interactive: false });
        await wrapper.get('svg').trigger('pointerdown', { button: 0, clientX: 100, clientY: 100 });
        await wrapper.get('svg').trigger('pointerup');
        expect(wrapper.emitted('place')).toBeUndefined();
    });

    it('says in an edition when it was published, what each line is and where it was filled', () => {
        const wrapper = draw({
            tags: true,
            marks: [{ session: '2026-10-15', value: 41, kind: 'fill', label: 'filled at 41.00' }],
        });
        expect(wrapper.get('.published').text()).toBe('published');
        expect(wrapper.findAll('.tags text').map((one) => one.text())).toEqual(['41.00 entry', '40.02 level', '40.00 stop']);
        expect(wrapper.get('.event.fill title').text()).toBe('filled at 41.00');
    });
});
