import { router } from '@inertiajs/vue3';
import { flushPromises, mount } from '@vue/test-utils';
import { useConfirm } from 'primevue/useconfirm';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { computed, defineComponent, h, ref, shallowRef, type Ref } from 'vue';
import type { LadderRowData, WorkbenchData } from '@/types/data';
import { useBench } from './bench';
import { useMovingPrice } from './moving';

vi.mock('primevue/useconfirm', () => ({ useConfirm: vi.fn(() => ({ require: vi.fn(), close: vi.fn() })) }));

const row = (key: string, kind: LadderRowData['kind'], value: number, more: Partial<LadderRowData> = {}): LadderRowData => ({
    key,
    kind,
    label: kind,
    price: value.toFixed(2),
    value,
    low: value,
    high: value,
    span: '',
    percent: '0.00',
    atr: '0.0',
    r: null,
    levelId: null,
    grade: null,
    target: null,
    layer: null,
    form: null,
    timeFrame: null,
    standing: null,
    agreement: null,
    touches: 0,
    movable: true,
    curve: [],
    upper: [],
    ...more,
});

const bench = (more: Partial<WorkbenchData['setup']> = {}): WorkbenchData =>
    ({
        candidate: { id: 7 },
        ladder: [
            row('target-0', 'target', 48, { target: 0 }),
            row('level-3', 'level', 47, { levelId: 3, label: 'gap edge', grade: 'major' }),
            row('last', 'last', 45),
            row('entry', 'entry', 44),
            row('stop', 'stop', 43),
        ],
        setup: {
            targets: [
                { price: '48.00', share: '0.5', r: '4.00' },
                { price: '50.00', share: '0.5', r: '6.00' },
            ],
            scale: { entry: 44, stop: 43 },
            ...more,
        },
    }) as unknown as WorkbenchData;

function inComponent<T>(use: () => T): { value: T; leave: () => void } {
    let value!: T;
    const wrapper = mount(
        defineComponent({
            setup() {
                value = use();
                return () => h('div');
            },
        }),
    );
    return { value, leave: () => wrapper.unmount() };
}

describe('the bench', () => {
    const calls: [string, string, unknown][] = [];
    let answers: (() => Response)[] = [];

    beforeEach(() => {
        calls.length = 0;
        answers = [];
        vi.spyOn(router, 'reload').mockImplementation(() => {});
        vi.stubGlobal(
            'fetch',
            vi.fn((url: string, options: RequestInit) => {
                calls.push([options.method ?? '', url, options.body ? JSON.parse(String(options.body)) : null]);
                return Promise.resolve((answers.shift() ?? (() => Response.json(bench())))());
            }),
        );
    });
    afterEach(() => void vi.unstubAllGlobals());

    const open = () =>
        inComponent(() => useBench(ref(bench()) as Ref<WorkbenchData>, ref({ frame: '1d' as const, asOf: null, variant: 1 })))
            .value;
    const target = bench().ladder[0] as LadderRowData;
    const level = bench().ladder[1] as LadderRowData;

    it('sends each row where it belongs', async () => {
        const { setRow, deleteRow, use, describe: name } = open();
        await setRow(level, '47.50');
        await setRow(target, '48.50');
        await deleteRow(target);
        await use(level, 'stop');
        await name(level, { origin: 'old shelf' });
        expect(calls).toEqual([
            ['PATCH', '/plan/mark/7/levels/3?frame=1d', { price: '47.50' }],
            [
                'PATCH',
                '/plan/mark/7/setup?frame=1d',
                {
                    targets: [
                        { price: '48.50', share: '0.5' },
                        { price: '50.00', share: '0.5' },
                    ],
                },
            ],
            ['PATCH', '/plan/mark/7/setup?frame=1d', { targets: [{ price: '50.00', share: '1' }] }],
            ['POST', '/plan/mark/7/use?frame=1d', { price: '47.00', as: 'stop' }],
            ['PATCH', '/plan/mark/7/levels/3?frame=1d', { origin: 'old shelf' }],
        ]);
    });

    it('works a change of the setup out when its turn comes: two in a row never undo each other', async () => {
        answers = [() => Response.json(bench({ legs: [{ name: 'entry', kind: 'break' }] as never }))];
        const { plan } = open();
        void plan({ trigger: 'break' });
        await plan((now) => ({ legs: now.legs.map((leg) => ({ ...leg, price: '44.00' })) }));
        expect(calls.map(([, , body]) => body)).toEqual([
            { trigger: 'break' },
            { legs: [{ name: 'entry', kind: 'break', price: '44.00' }] },
        ]);
    });

    it('moves and takes away a later part of the entry by its number', async () => {
        const { setRow } = open();
        await setRow(row('leg-1', 'entry', 44.5, { target: 1 }), '44.60');
        expect(calls).toEqual([['PATCH', '/plan/mark/7/setup?frame=1d', { leg: { number: 1, price: '44.60' } }]]);
    });

    it('sends changes one after the other', async () => {
        const waiting: ((response: Response) => void)[] = [];
        vi.stubGlobal(
            'fetch',
            vi.fn((url: string) => new Promise<Response>((resolve) => (calls.push(['', url, null]), waiting.push(resolve)))),
        );
        const { change } = open();
        void change('PATCH', '/first');
        const second = change('PATCH', '/second');
        await flushPromises();
        expect(calls.map(([, url]) => url)).toEqual(['/plan/mark/7/first?frame=1d']);
        waiting[0]?.(Response.json(bench()));
        await flushPromises();
        expect(calls).toHaveLength(2);
        waiting[1]?.(Response.json(bench()));
        expect(await second).toBe(true);
    });

    it('leaves alone what took the place of a candidate meanwhile', async () => {
        const given = ref(bench()) as Ref<WorkbenchData>;
        const { bench: shown, change } = inComponent(() =>
            useBench(given, ref({ frame: '1d' as const, asOf: null, variant: 1 })),
        ).value;
        const sent = change('PATCH', '/setup', { stop: '40' });
        given.value = { ...bench(), candidate: { id: 8 } } as unknown as WorkbenchData;
        await sent;
        expect(calls.map(([, url]) => url)).toEqual(['/plan/mark/7/setup?frame=1d']);
        expect(shown.value.candidate.id).toBe(8);
    });

    it('tells a refusal at its field, one of a new level where it is typed, and goes on', async () => {
        const refusal = (field: string, words: string) => () => Response.json({ errors: { [field]: [words] } }, { status: 422 });
        answers = [refusal('stop.price', 'must be below the entry'), refusal('price', 'is not a price')];
        const { change, mark, errors, newLevelError } = open();

        expect(await change('PATCH', '/setup', { stop: '50' })).toBe(false);
        expect(errors.value).toEqual({ 'stop.price': 'must be below the entry' });
        expect(await mark({ price: 'x' })).toBeNull();
        expect(newLevelError.value).toBe('is not a price');
        const marked = bench();
        marked.ladder.push(row('level-9', 'level', 47));
        answers = [() => Response.json(marked)];
        expect(await mark({ price: '47' })).toBe('level-9');
        expect([errors.value, newLevelError.value]).toEqual([{}, null]);
    });

    it('leaves a refusal told while the bench is only read anew, until another candidate takes its place', async () => {
        answers = [() => Response.json({ errors: { 'option.expiry': ['Write the date.'] } }, { status: 422 })];
        const given = ref(bench()) as Ref<WorkbenchData>;
        const { value } = inComponent(() => useBench(given, ref({ frame: '1d' as const, asOf: null, variant: 1 })));
        const { change, refresh, errors } = value;
        await change('PATCH', '/option', {});
        answers = [() => Response.json(bench())];
        expect(await refresh()).toBe(true);
        expect(errors.value).toEqual({ 'option.expiry': 'Write the date.' });
        given.value = { ...bench(), candidate: { id: 8 } } as unknown as WorkbenchData;
        await flushPromises();
        expect([value.bench.value.candidate.id, errors.value]).toEqual([8, {}]);
    });
});

describe('a price in doubt', () => {
    it('is asked about, and sent again as it was meant', async () => {
        const bodies: unknown[] = [];
        const asked: Record<string, () => void>[] = [];
        vi.spyOn(router, 'reload').mockImplementation(() => {});
        vi.mocked(useConfirm).mockReturnValue({
            require: (options: object) => void asked.push(options as Record<string, () => void>),
            close: () => {},
        });
        const doubt = () => Response.json({ errors: { 'entry.price': ['about a tenth'], doubt: ['43.10'] } }, { status: 422 });
        const answers = [doubt, () => Response.json(bench()), doubt, () => Response.json(bench()), doubt];
        vi.stubGlobal(
            'fetch',
            vi.fn((_: string, options: RequestInit) => {
                bodies.push(JSON.parse(String(options.body)));
                return Promise.resolve((answers.shift() as () => Response)());
            }),
        );
        const { change } = inComponent(() =>
            useBench(ref(bench()) as Ref<WorkbenchData>, ref({ frame: '1d' as const, asOf: null, variant: 1 })),
        ).value;

        const meant = change('PATCH', '/setup', { entry: '4.31' });
        await flushPromises();
        asked[0]?.accept?.();
        expect(await meant).toBe(true);
        const sure = change('PATCH', '/setup', { entry: '4.31' });
        await flushPromises();
        asked[1]?.reject?.();
        expect(await sure).toBe(true);
        const left = change('PATCH', '/setup', { entry: '4.31' });
        await flushPromises();
        asked[2]?.onHide?.();
        expect(await left).toBe(false);
        expect(bodies).toEqual([
            { entry: '4.31' },
            { entry: '43.10' },
            { entry: '4.31' },
            { entry: '4.31', sure: true },
            { entry: '4.31' },
        ]);
        vi.unstubAllGlobals();
    });
});

describe('a price on the move', () => {
    beforeEach(() => void vi.useFakeTimers());
    afterEach(() => void vi.useRealTimers());

    const grid = computed(() => ({ decimals: 2, tick: '0.05' }));
    const keep = vi.fn(() => Promise.resolve(true));
    const open = () => inComponent(() => useMovingPrice(shallowRef(bench()), grid, keep));

    beforeEach(() => void keep.mockClear());

    it('is shown at once on the tick, with percent and R', () => {
        const { start, move, motion, moving } = open().value;
        start('level-3');
        move(49.02);
        expect(moving.value).toBe('level-3');
        expect(motion.row.value).toMatchObject({ price: '49.00', percent: '8.89', r: '5.00' });
    });

    it('tells no R of an entry or stop while these move', () => {
        const { start, move, motion } = open().value;
        start('stop');
        move(42);
        expect(motion.row.value).toMatchObject({ key: 'stop', price: '42.00', r: null });
    });

    it('is kept once, where it ends', async () => {
        const { start, move, end, moving } = open().value;
        start('stop');
        move(42.5);
        move(42.31);
        await end();
        expect(keep.mock.calls).toEqual([[expect.objectContaining({ key: 'stop' }), '42.30']]);
        expect(moving.value).toBeNull();
    });

    it('is not kept when it ends where it began', async () => {
        const { start, end } = open().value;
        start('stop');
        await end();
        expect(keep).not.toHaveBeenCalled();
    });

    it('makes one change of a run of nudges, and of two rows two', async () => {
        const { nudgeRow } = open().value;
        const [, level, , , stop] = bench().ladder as [LadderRowData, LadderRowData, LadderRowData, LadderRowData, LadderRowData];
        nudgeRow(stop, 1);
        nudgeRow(stop, 1);
        nudgeRow(stop, 10);
        expect(keep).not.toHaveBeenCalled();
        nudgeRow(level, -1);
        await vi.advanceTimersByTimeAsync(500);
        expect(keep.mock.calls.map(([one, price]: unknown[]) => [(one as LadderRowData).key, price])).toEqual([
            ['stop', '43.60'],
            ['level-3', '46.95'],
        ]);
    });

    it('is kept when the screen is left in the middle', async () => {
        const { value, leave } = open();
        value.nudgeRow(bench().ladder[4] as LadderRowData, -2);
        leave();
        await vi.advanceTimersByTimeAsync(0);
        expect(keep).toHaveBeenCalledOnce();
    });

    it('moves both edges of a zone, or pulls one, also past the other', async () => {
        const zone = bench();
        zone.ladder = [row('level-3', 'level', 47, { levelId: 3, low: 46.5, high: 47, form: 'zone' }), row('last', 'last', 48)];
        const edges = vi.fn(() => Promise.resolve(true));
        const { start, move, motion, end } = inComponent(() => useMovingPrice(shallowRef(zone), grid, keep, edges)).value;
        start('level-3');
        move(47.2);
        expect(motion.row.value).toMatchObject({ low: 46.7, high: 47.2, price: '47.20', span: '46.70–47.20' });
        await end();
        start('level-3:low');
        move(47.3);
        expect(motion.row.value).toMatchObject({ low: 47, high: 47.3, price: '47.30' });
        await end();
        expect(keep.mock.calls).toEqual([[expect.objectContaining({ key: 'level-3' }), '47.20']]);
        expect(edges.mock.calls).toEqual([[expect.objectContaining({ key: 'level-3' }), '47.00', '47.30']]);
    });
});
