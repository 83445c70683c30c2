import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { nextKind, nextStop, withoutPart, type SetupChange } from '@/lib/setup';
import type { LegData, OutcomeData, SetupData, StripData } from '@/types/data';
import OutcomeFacts from './OutcomeFacts.vue';
import PriceField from './PriceField.vue';
import RStrip from './RStrip.vue';
import SetupEditor from './SetupEditor.vue';

const grid = { decimals: 2, tick: '0.05' };
const strip: StripData = {
    side: 'long',
    targets: ['1.50', '3.00'],
    now: '0.40',
    fill: null,
    best: null,
    worst: null,
    filled: '0',
};

describe('the R strip', () => {
    const label = (data: Partial<StripData>): string =>
        mount(RStrip, { props: { strip: { ...strip, ...data } } }).attributes('aria-label') ?? '';

    it('says all that it draws', () => {
        expect(label({})).toBe(
            'long: stop at −1 R, entry at 0; target 1 at +1.50 R; target 2 at +3.00 R; price now at +0.40 R; not filled',
        );
        expect(label({ filled: '1', now: null, best: '2.10', worst: '-0.35' })).toContain('best +2.10 R, worst −0.35 R; filled');
    });

    it('fills the entry once it is filled, and the targets that were reached', () => {
        const wrapper = mount(RStrip, { props: { strip: { ...strip, filled: '1', fill: '0.00', best: '1.60', worst: '-0.2' } } });
        expect(wrapper.get('.entry').classes()).toContain('filled');
        expect(wrapper.findAll('.target').map((one) => one.classes().includes('reached'))).toEqual([true, false]);
        expect(wrapper.find('.span').exists()).toBe(true);
    });

    it('keeps price inside the strip when it stands far away', () => {
        const wrapper = mount(RStrip, { props: { strip: { ...strip, now: '25' }, width: 200 } });
        expect(wrapper.get('.now').attributes('d')).toMatch(/^M192/);
    });

    it('drops labels that would overlap', () => {
        const close: StripData = { ...strip, targets: ['9.00', '9.10'] };
        const texts = mount(RStrip, { props: { strip: close, labels: true } })
            .findAll('text')
            .map((one) => one.text());
        expect(texts).toEqual(['−1 R', '+9.0 R']);
    });
});

describe('a price field', () => {
    beforeEach(() => void vi.useFakeTimers());
    afterEach(() => void vi.useRealTimers());

    const field = (props = {}) => mount(PriceField, { props: { label: 'Stop', price: '39.85', grid, ...props } });

    it('keeps a typed price on Enter or when it is left, and an empty one as none', async () => {
        const wrapper = field();
        await wrapper.get('input').setValue('39.50');
        await wrapper.get('input').trigger('keydown', { key: 'Enter' });
        await wrapper.get('input').setValue('');
        await wrapper.get('input').trigger('blur');
        expect(wrapper.emitted('keep')).toEqual([['39.50'], [null]]);
    });

    it('says nothing when nothing was changed', async () => {
        const wrapper = field();
        await wrapper.get('input').trigger('blur');
        expect(wrapper.emitted('keep')).toBeUndefined();
    });

    it('is nudged by ticks, and keeps the price once when the keys rest', async () => {
        const wrapper = field();
        const input = wrapper.get('input');
        await input.trigger('keydown', { key: 'ArrowUp' });
        await input.trigger('keydown', { key: 'ArrowUp' });
        await input.trigger('keydown', { key: 'ArrowDown', shiftKey: true });
        expect(input.element.value).toBe('39.45');
        expect(wrapper.emitted('keep')).toBeUndefined();
        vi.advanceTimersByTime(500);
        expect(wrapper.emitted('keep')).toEqual([['39.45']]);
    });

    it('leaves what was typed in sight of the refusal, and says what is kept', async () => {
        const wrapper = field();
        await wrapper.get('input').setValue('50');
        await wrapper.setProps({ error: 'The stop 50.00 must be below the entry at 41.20.' });
        expect(wrapper.get('input').element.value).toBe('50');
        expect(wrapper.get('[role="alert"]').text()).toBe('The stop 50.00 must be below the entry at 41.20. Kept: 39.85.');
        await wrapper.get('input').trigger('keydown', { key: 'Escape' });
        expect(wrapper.get('input').element.value).toBe('39.85');
    });
});

const leg = (change: Partial<LegData> = {}): LegData => ({
    name: 'entry',
    share: '1',
    kind: 'touch',
    price: '41.20',
    within: '0.00',
    noChase: false,
    timeframe: '1d',
    times: 1,
    nextOpen: false,
    beyond: '0.00',
    bars: 1,
    worst: null,
    gapMin: null,
    gapMax: null,
    needs: null,
    ...change,
});

describe('the setup editor', () => {
    const setup: SetupData = {
        begun: true,
        side: 'long',
        legs: [leg()],
        offered: ['touch', 'overshoot', 'retest', 'break', 'close_beyond', 'open', 'market'],
        stop: '39.85',
        stopCloses: null,
        cancel: null,
        cancelSide: 'stop',
        cancelCloses: null,
        conditions: [],
        stopMoves: [],
        timeStop: null,
        openExit: null,
        figures: [],
        stopOffers: [],
        kind: null,
        checklist: null,
        option: null,
        targets: [{ price: '44.00', share: '1', r: '2.07' }],
        goodFor: 5,
        goodUntil: 'Wed 21 Oct',
        missing: [],
        warnings: [],
        sentence: 'Long when price falls to 41.20.',
        risk: '1.35',
        riskPercent: '3.28',
        scale: { entry: 41.2, stop: 39.85 },
        strip: null,
    };
    /** The last change asked for, worked out on what the editor holds. */
    function changed(wrapper: ReturnType<typeof editor>): unknown {
        const change = wrapper.emitted('change')?.at(-1)?.[0] as SetupChange | undefined;
        return typeof change === 'function' ? change(wrapper.props('setup')) : change;
    }
    const editor = (change: Partial<SetupData> = {}, errors: Record<string, string> = {}) =>
        mount(SetupEditor, { props: { setup: { ...setup, ...change }, grid, errors } });

    async function type(wrapper: ReturnType<typeof editor>, label: string, price: string): Promise<unknown> {
        const input = wrapper.findAll('input').find((one) => one.attributes('id') === `price-${label}`);
        await input?.setValue(price);
        await input?.trigger('blur');
        await flushPromises();
        return changed(wrapper);
    }

    it('gives a second target half of what the first one took', async () => {
        expect(await type(editor(), 'target-2', '46.50')).toEqual({
            targets: [
                { price: '44.00', share: '0.5' },
                { price: '46.50', share: '0.5' },
            ],
        });
    });

    it('gives all back to the target that is left', async () => {
        const two = editor({
            targets: [
                { price: '44.00', share: '0.5', r: '2.07' },
                { price: '46.50', share: '0.5', r: '3.93' },
            ],
        });
        expect(await type(two, 'target-2', '')).toEqual({ targets: [{ price: '44.00', share: '1' }] });
    });

    it('asks for a tolerance of a touch, and for the chase of a break', () => {
        expect(editor().text()).toContain('Within');
        expect(editor({ legs: [leg({ kind: 'break' })] }).text()).toContain('Not on an open beyond it');
        expect(editor({ legs: [leg({ kind: 'break' })] }).text()).not.toContain('Within');
    });

    it('tells the risk, R of each target, warnings and refusals at their place', () => {
        const wrapper = editor(
            { warnings: ['Price is at the entry already.'] },
            { 'targets.0.price': 'Target 1 at 40.00 must be above the entry at 41.20.' },
        );
        expect(wrapper.text()).toContain('1 R = 1.35, 3.28 %');
        expect(wrapper.text()).toContain('+2.07 R');
        expect(wrapper.text()).toContain('Price is at the entry already.');
        expect(wrapper.get('#price-target-1-error').text()).toContain('must be above the entry');
    });

    it('asks for no price where an open is taken as it comes', () => {
        const wrapper = editor({ legs: [leg({ kind: 'open', price: null })] });
        expect(wrapper.find('#price-entry').exists()).toBe(false);
        expect(wrapper.text()).toContain('At worst');
    });

    it('stages the entry: half each, and the last part has what is left', async () => {
        const wrapper = editor();
        await wrapper.get('button[title="Another part of the entry"]').trigger('click');
        expect(changed(wrapper)).toMatchObject({
            legs: [
                { name: 'starter', share: '0.5', price: '41.20' },
                { name: 'add', share: '0.5', price: null },
            ],
        });
        const staged = editor({ legs: [leg({ name: 'starter', share: '0.5' }), leg({ name: 'add', share: '0.5' })] });
        const share = staged.get('input[aria-label="Share of part 1, percent"]');
        await share.setValue('30');
        await share.trigger('change');
        expect(changed(staged)).toMatchObject({ legs: [{ share: '0.3' }, { share: '0.7' }] });
    });

    it('gives the share of a part that is taken away to the one before, which is the entry again', () => {
        const two = {
            ...setup,
            legs: [leg({ name: 'starter', share: '0.4' }), leg({ name: 'add', share: '0.6', needs: 'starter' })],
        };
        expect(withoutPart(two, 1)).toMatchObject([{ name: 'entry', share: '1' }]);
        expect(withoutPart(two, 0)).toMatchObject([{ name: 'entry', share: '1', needs: null }]);
    });

    it('tells conditions and moves as they read, and edits them in place', async () => {
        const condition = {
            kind: 'gap_max_percent',
            value: '3',
            type: null,
            period: null,
            symbol: null,
            price: null,
            from: null,
            to: null,
        };
        const wrapper = editor({ conditions: [{ ...condition, text: 'Only if the session gaps at most 3 % with the trade' }] });
        const line = wrapper.get('.parts .line .text');
        expect(line.text()).toBe('Only if the session gaps at most 3 % with the trade');
        await line.trigger('click');
        const input = wrapper.get('.parts .line input');
        (input.element as HTMLInputElement).value = '2';
        await input.trigger('blur');
        expect(changed(wrapper)).toEqual({ conditions: [{ ...condition, value: '2' }] });
        await wrapper.get('[aria-label^="Remove: Only if"]').trigger('click');
        expect(changed(wrapper)).toEqual({ conditions: [] });
    });

    it('puts the stop where the chart offers it, and goes on to the next place', async () => {
        const offers = [
            { place: 'swing' as const, price: '40.10', why: 'below the last swing low', distance: '0.9 ATR' },
            { place: 'swing' as const, price: '39.85', why: '1.5 average ranges away', distance: '1.5 ATR' },
        ];
        const wrapper = editor({ stopOffers: offers });
        await wrapper.get('.offers button').trigger('click');
        expect(changed(wrapper)).toEqual({ stop: '40.10' });
        expect(nextStop({ ...setup, stopOffers: offers })).toBe('40.10');
        expect(nextKind(setup)).toBe('overshoot');
    });
});

describe('what happened', () => {
    const outcome: OutcomeData = {
        status: 'open',
        label: 'open, part taken',
        asOf: 'Wed 14 Oct 2026',
        r: '2.2500',
        rRealised: '1.0000',
        rOpen: '1.2500',
        percent: '7.26',
        perUnit: '4.50',
        averageFill: '62.0000',
        sessionsHeld: 3,
        best: '2.6000',
        worst: '-0.1000',
        ambiguous: false,
        missed: null,
        targetFirst: null,
        remarks: [],
        events: [
            {
                when: '15 Oct 09:30',
                session: '2026-10-15',
                what: 'filled',
                isFill: true,
                isExit: false,
                price: '62.00',
                drawnAt: 62,
                share: '1',
                note: '',
            },
        ],
        strip,
    };
    const told = (change: Partial<OutcomeData>): string =>
        mount(OutcomeFacts, { props: { outcome: { ...outcome, ...change } } }).text();

    it('tells realised and open apart, in R, percent and per unit', () => {
        const text = told({});
        for (const part of ['+2.25 R', '+1.00 R', '+1.25 R', '+7.26 %', '+4.50', 'filled at 62.00']) {
            expect(text).toContain(part);
        }
    });

    it('tells a setup that was not triggered without any figure', () => {
        const text = told({
            status: 'not_triggered',
            label: 'not triggered',
            r: null,
            missed: 'missed by 0.01 (0.02 %)',
            events: [],
        });
        expect(text).toContain('Not triggered, missed by 0.01 (0.02 %).');
        expect(text).not.toContain(' R');
    });

    it('says when the order within a bar was assumed', () => {
        expect(told({ ambiguous: true })).toContain('the less favourable was assumed');
    });
});
