import { router } from '@inertiajs/vue3';
import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { computed, defineComponent, h, ref, shallowRef, type Ref } from 'vue';
import type { LadderRowData, WorkbenchData } from '@/types/data';
import { useBench } from './bench';
import { useMovingPrice } from './moving';

const row = (key: string, kind: LadderRowData['kind'], value: number, more: Partial<LadderRowData> = {}): LadderRowData => ({
    key,
    kind,
    label: kind,
    price: value.toFixed(2),
    value,
    percent: '0.00',
    atr: '0.0',
    r: null,
    levelId: null,
    grade: null,
    target: null,
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

    const open = () => inComponent(() => useBench(ref(bench()) as Ref<WorkbenchData>)).value;
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
            ['PATCH', '/plan/mark/7/levels/3', { price: '47.50' }],
            [
                'PATCH',
                '/plan/mark/7/setup',
                {
                    targets: [
                        { price: '48.50', share: '0.5' },
                        { price: '50.00', share: '0.5' },
                    ],
                },
            ],
            ['PATCH', '/plan/mark/7/setup', { targets: [{ price: '50.00', share: '1' }] }],
            ['POST', '/plan/mark/7/use', { price: '47.00', as: 'stop' }],
            ['PATCH', '/plan/mark/7/levels/3', { price: '47.00', origin: 'old shelf', grade: 'major' }],
        ]);
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
        expect(calls.map(([, url]) => url)).toEqual(['/plan/mark/7/first']);
        waiting[0]?.(Response.json(bench()));
        await flushPromises();
        expect(calls).toHaveLength(2);
        waiting[1]?.(Response.json(bench()));
        expect(await second).toBe(true);
    });

    it('tells a refusal at its field, one of a new level where it is typed, and goes on', async () => {
        const refusal = (field: string, words: string) => () => Response.json({ errors: { [field]: [words] } }, { status: 422 });
        answers = [refusal('stop.price', 'must be below the entry'), refusal('price', 'is not a price')];
        const { change, mark, errors, newLevelError } = open();

        expect(await change('PATCH', '/setup', { stop: '50' })).toBe(false);
        expect(errors.value).toEqual({ 'stop.price': 'must be below the entry' });
        expect(await mark('x')).toBeNull();
        expect(newLevelError.value).toBe('is not a price');
        expect(await mark('47')).toBe('level-3');
        expect([errors.value, newLevelError.value]).toEqual([{}, null]);
    });
});

describe('a price on the move', () => {
    beforeEach(() => void vi.useFakeTimers());
    afterEach(() => void vi.useRealTimers());

    const grid = computed(() => ({ decimals: 2, tick: '0.05' }));
    const keep = vi.fn(() => Promise.resolve(true));
    const open = () => inComponent(() => useMovingPrice(shallowRef(bench()), grid, keep));

    beforeEach(() => void keep.mockClear());

    it('is shown at once on the tick, in its order, with percent and R', () => {
        const { start, move, rows, moving } = open().value;
        start('level-3');
        move(49.02);
        expect(moving.value).toBe('level-3');
        expect(rows.value.map((one) => one.key)).toEqual(['level-3', 'target-0', 'last', 'entry', 'stop']);
        expect(rows.value[0]).toMatchObject({ price: '49.00', percent: '8.89', r: '5.00' });
    });

    it('tells no R of an entry or stop while these move', () => {
        const { start, move, rows } = open().value;
        start('stop');
        move(42);
        expect(rows.value.at(-1)).toMatchObject({ key: 'stop', price: '42.00', r: null });
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
        const { nudgeRow, rows } = open().value;
        const [, level, , , stop] = rows.value as [LadderRowData, LadderRowData, LadderRowData, LadderRowData, LadderRowData];
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
});
