import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import type { ChartData } from '@/types/data';
import type { PriceLine } from './lines';
import PriceChart from './PriceChart.vue';
import { priceScale } from './scales';

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
    unfinished: true,
    publishedAfter: 2,
};
const window = { first: 0, last: 3 };
const line = (key: string, kind: PriceLine['kind'], value: number): PriceLine => ({
    key,
    kind,
    value,
    price: value.toFixed(2),
    label: kind,
    grade: kind === 'level' ? 'major' : null,
    side: 'long',
    movable: true,
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

    it('marks a price where the pointer lets go, and takes hold of a plan price before a level near it', async () => {
        const wrapper = draw();
        const svg = wrapper.get('svg');
        const y = priceScale(chart, window, [], 280);
        await svg.trigger('pointerdown', { button: 0, clientX: 100, clientY: y(42) });
        await svg.trigger('pointerup');
        expect((wrapper.emitted('place') as number[][])[0]?.[0]).toBeCloseTo(42);

        await svg.trigger('pointerdown', { button: 0, clientX: 100, clientY: y(40.02) });
        expect(wrapper.emitted('moveStart')).toEqual([['stop']]);
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
