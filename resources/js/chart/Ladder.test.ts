import { mount, type VueWrapper } from '@vue/test-utils';
import { scaleLinear } from 'd3-scale';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { LadderRowData } from '@/types/data';
import Ladder from './Ladder.vue';

const row = (change: Partial<LadderRowData> & { key: string; value: number }): LadderRowData => ({
    kind: 'level',
    label: 'own reading',
    price: change.value.toFixed(2),
    low: change.value,
    high: change.value,
    span: '',
    percent: '1.00',
    atr: '0.5',
    r: null,
    levelId: 1,
    grade: 'minor',
    target: null,
    layer: null,
    form: 'price',
    timeFrame: '1d',
    standing: 'active',
    agreement: null,
    touches: 0,
    movable: change.kind !== 'last' && change.kind !== 'found',
    curve: [],
    upper: [],
    ...change,
});

const rows = [
    row({ key: 'target-0', kind: 'target', label: 'target 1', value: 48, r: '1.50', target: 0, levelId: null, grade: null }),
    row({ key: 'level-7', label: '60-session high', value: 47.9, grade: 'major', levelId: 7 }),
    row({ key: 'last', kind: 'last', label: 'last close', value: 45, levelId: null, grade: null }),
    row({ key: 'entry', kind: 'entry', label: 'long entry, touch', value: 44.98, r: '0.00', levelId: null, grade: null }),
    row({ key: 'stop', kind: 'stop', label: 'stop', value: 43, r: '-1.00', levelId: null, grade: null }),
];

let ladder: VueWrapper;

beforeEach(() => {
    ladder = mount(Ladder, {
        props: { rows, y: scaleLinear([42, 49], [400, 0]), height: 400, side: 'long', chosen: null, moving: null },
        attachTo: document.body,
    });
});
afterEach(() => ladder.unmount());

const at = (key: string) => ladder.get(`[data-key="${key}"]`);
const press = (key: string, name: string, more = {}) => at(key).trigger('keydown', { key: name, ...more });

describe('the ladder', () => {
    it('shows each price with what it is, its distances and its R', () => {
        expect(at('target-0').text()).toBe('48.00target 1+1.0+0.5+1.5');
        expect(at('stop').text()).toContain('−1.0');
    });

    it('says nothing of the distance of the last close from itself', () => {
        expect(at('last').text()).toBe('45.00last close');
    });

    it('pushes rows apart that would overlap, in order', () => {
        const tops = rows.map((one) => parseFloat((at(one.key).element as HTMLElement).style.top));
        tops.slice(1).forEach((top, i) => expect(top - (tops[i] ?? 0)).toBeGreaterThanOrEqual(22 - 1e-6));
    });

    it('lets many rows stand closer, and scrolls when even that is not enough', async () => {
        const many = (count: number) =>
            Array.from({ length: count }, (_, i) => row({ key: `level-${i}`, value: 49 - (i * 7) / count, levelId: i }));
        const step = (): number[] => {
            const tops = ladder.findAll('.row').map((one) => parseFloat((one.element as HTMLElement).style.top));
            return tops.slice(1).map((top, i) => top - (tops[i] ?? 0));
        };
        await ladder.setProps({ rows: many(24) });
        expect(Math.min(...step())).toBeGreaterThanOrEqual(16);
        expect(ladder.get('.rows').classes()).not.toContain('scrolls');
        await ladder.setProps({ rows: many(40) });
        expect(Math.min(...step())).toBeGreaterThanOrEqual(15);
        expect(ladder.get('.rows').classes()).toContain('scrolls');
    });

    it('points to prices beyond the scale', async () => {
        await ladder.setProps({ rows: [row({ key: 'far', label: 'old high', value: 90 }), ...rows] });
        expect(at('far').text()).toContain('↑ old high');
    });

    it('is one stop of the Tab key', async () => {
        expect(ladder.findAll('[tabindex="0"]').map((one) => one.attributes('data-key'))).toEqual(['target-0']);
        await ladder.setProps({ chosen: 'entry' });
        expect(ladder.findAll('[tabindex="0"]').map((one) => one.attributes('data-key'))).toEqual(['entry']);
    });

    it('nudges a price by a tick with Alt, with Shift by ten, but never the last close', async () => {
        await press('stop', 'ArrowUp', { altKey: true });
        await press('stop', 'ArrowDown', { altKey: true, shiftKey: true });
        await press('last', 'ArrowUp', { altKey: true });
        expect(ladder.emitted('nudge')).toEqual([
            [rows[4], 1],
            [rows[4], -10],
        ]);
    });

    it('walks up and down by key and stays at the ends', async () => {
        await press('level-7', 'ArrowDown');
        await press('level-7', 'ArrowUp');
        await press('stop', 'ArrowDown');
        await press('level-7', 'End');
        await press('level-7', 'Home');
        expect(ladder.emitted('choose')?.flat()).toEqual(expect.arrayContaining(['last', 'target-0', 'stop']));
    });

    it('goes from one of the author’s own rows to the next at another price, past the last close and what was found', async () => {
        const level = row({ key: 'level-7', kind: 'level', value: 47.9 });
        const same = row({ key: 'target-1', kind: 'target', value: 47.9, target: 1 });
        const between = row({ key: 'found-1', kind: 'found', value: 47.4, levelId: null });
        const last = row({ key: 'last', kind: 'last', value: 47.07, levelId: null, movable: false });
        const below = row({ key: 'level-8', kind: 'level', value: 46.2 });
        await ladder.setProps({ rows: [level, same, between, last, below] });
        await press('level-7', 'PageDown');
        expect(ladder.emitted('choose')?.at(-1)).toEqual(['level-8']);
        await press('level-8', 'PageDown');
        expect(ladder.emitted('choose')?.at(-1)).toEqual(['level-8']);
    });

    it('opens a level on Enter, and the price of what is no level', async () => {
        await press('level-7', 'Enter');
        expect(ladder.emitted('open')).toEqual([[rows[1]]]);
        await press('stop', 'Enter');
        expect(at('stop').find('input').exists()).toBe(true);
    });

    it('tells the next levels above and below price first and last, or that there are none', async () => {
        const level = { layer: 'own' as const };
        await ladder.setProps({ rows: rows.map((one) => (one.kind === 'level' ? { ...one, ...level } : one)) });
        const [above, below] = ladder.findAll('.near');
        expect(above?.text()).toContain('↑ 47.90');
        expect(above?.text()).toContain('60-session high');
        expect(below?.text()).toContain('nothing shown below');
        await above?.trigger('click');
        expect(ladder.emitted('choose')?.at(-1)).toEqual(['level-7']);
    });

    it('joins found levels where there is no room, and opens them on Enter', async () => {
        const found = Array.from({ length: 30 }, (_, i) =>
            row({ key: `found-${i}`, kind: 'found', layer: 'marks', value: 46.9 - i * 0.05, levelId: null }),
        );
        await ladder.setProps({ rows: [...rows.slice(0, 2), ...found, ...rows.slice(2)], height: 200 });
        const group = ladder.get('.row.group');
        expect(group.text()).toContain('▸ 27 found');
        await group.trigger('keydown', { key: 'Enter' });
        expect(ladder.findAll('.row')).toHaveLength(36);
        await ladder.get('[data-key="found-13"]').trigger('keydown', { key: 'a' });
        expect(ladder.emitted('adopt')).toEqual([[found[13]]]);
    });

    it('makes a row into something with one key', async () => {
        await press('level-7', 'e');
        await press('level-7', 's');
        await press('last', 't');
        expect(ladder.emitted('use')).toEqual([
            [rows[1], 'entry'],
            [rows[1], 'stop'],
            [rows[2], 'target'],
        ]);
    });

    it('leaves keys with Ctrl to the screen', async () => {
        await press('level-7', 's', { ctrlKey: true });
        expect(ladder.emitted('use')).toBeUndefined();
    });

    it('deletes what can be deleted', async () => {
        await press('level-7', 'Delete');
        await press('stop', 'Backspace');
        await press('last', 'Delete');
        expect(ladder.emitted('remove')).toEqual([[rows[1]], [rows[4]]]);
    });

    it('begins a new level at a digit', async () => {
        await press('level-7', '4');
        expect(ladder.emitted('begin')).toEqual([['4']]);
    });

    it('takes a typed price on Enter and leaves it on Escape', async () => {
        await press('stop', 'Enter');
        const input = at('stop').get('input');
        await input.setValue('42.75');
        await input.trigger('keydown', { key: 'Enter' });
        expect(ladder.emitted('set')).toEqual([[rows[4], '42.75']]);

        await press('stop', 'Enter');
        await at('stop').get('input').setValue('1');
        await at('stop').get('input').trigger('keydown', { key: 'Escape' });
        expect(at('stop').find('input').exists()).toBe(false);
        expect(ladder.emitted('set')).toHaveLength(1);
    });

    it('moves a price with the pointer, but a press alone only chooses', async () => {
        await at('entry').trigger('pointerdown', { button: 0, clientY: 200 });
        await at('entry').trigger('pointermove', { clientY: 201 });
        await at('entry').trigger('pointerup');
        expect(ladder.emitted('moveStart')).toBeUndefined();
        expect(ladder.emitted('choose')).toEqual([['entry']]);

        await at('entry').trigger('pointerdown', { button: 0, clientY: 200 });
        await at('entry').trigger('pointermove', { clientY: 210 });
        await ladder.setProps({ moving: 'entry' });
        await at('entry').trigger('pointermove', { clientY: 240 });
        await at('entry').trigger('pointerup');
        expect(ladder.emitted('moveStart')).toEqual([['entry']]);
        expect((ladder.emitted('move') as number[][]).at(-1)?.[0]).toBeCloseTo(44.98 - (40 / 400) * 7);
        expect(ladder.emitted('moveEnd')).toHaveLength(1);
    });
});
