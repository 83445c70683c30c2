import { router } from '@inertiajs/vue3';
import { useConfirm } from 'primevue/useconfirm';
import { useToast } from 'primevue/usetoast';
import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import type { LadderRowData, LevelForm, TimeFrame, WorkbenchData } from '@/types/data';
import { Refusal, send } from './http';
import { see } from './revision';
import { withoutPart, type SetupChange } from './setup';

/** Where a refusal is told besides its own field: where a new level is typed, or in a note. */
type AlsoAt = 'new' | 'note';

/** What is said of a level that is marked or changed. */
export interface LevelChanges {
    form?: LevelForm;
    price?: string;
    low?: string;
    high?: string;
    from?: { session: string; price: string };
    to?: { session: string; price: string };
    parallel?: { session: string; price: string } | null;
    logarithmic?: boolean;
    average?: string;
    period?: number;
    since?: string;
    mark?: string;
    session?: string;
    origin?: string;
    grade?: string;
    timeFrame?: TimeFrame;
    note?: string;
}

/** What the server is asked about: the chart in view, the evening of the cross-check, and the variant in hand. */
export interface Asked {
    frame: TimeFrame;
    asOf: string | null;
    variant: number;
}

type Method = 'GET' | 'POST' | 'PATCH' | 'DELETE';

/**
 * The workbench of a candidate: what stands on it, and the changes made to it. Every change is sent at once, one after
 * the other in the order in which they were made; what comes back is the whole bench. A refusal is told at its field,
 * and the old value stays; a price that looks like a slip of the decimal point is asked about first.
 */
export function useBench(given: Ref<WorkbenchData>, asked: Ref<Asked>) {
    const toast = useToast();
    const confirm = useConfirm();
    const bench = shallowRef(given.value);
    const errors = ref<Record<string, string>>({});
    const newLevelError = ref<string | null>(null);
    const keeping = ref(false);
    const base = computed(() => `/plan/mark/${bench.value.candidate.id}`);
    const query = computed(() => {
        const parts = new URLSearchParams({ frame: asked.value.frame });
        if (asked.value.asOf !== null) {
            parts.set('as_of', asked.value.asOf);
        }
        if (asked.value.variant > 1) {
            parts.set('variant', String(asked.value.variant));
        }
        return `?${parts.toString()}`;
    });
    let line: Promise<unknown> = Promise.resolve();

    watch(given, (next) => (bench.value = next));
    watch(() => `${bench.value.candidate.id} ${asked.value.variant}`, forget);
    watch(bench, ({ planId, revision }) => see(planId, revision), { immediate: true });

    function forget(): void {
        errors.value = {};
        newLevelError.value = null;
    }

    function change(method: Method, path: string, body?: unknown, alsoAt?: AlsoAt): Promise<boolean> {
        // what was changed belongs to the candidate that stood there, also when it is sent after another took its place
        const { id } = bench.value.candidate;
        const url = `${base.value}${path}${query.value}`;
        const turn = line.then(() => sendChange(id, method, url, typeof body === 'function' ? body() : body, alsoAt));
        line = turn;
        return turn;
    }

    /** A change of the setup, by what it holds once the changes before are kept: two in a row never undo each other. */
    function plan(changes: SetupChange): Promise<boolean> {
        return change('PATCH', '/setup', typeof changes === 'function' ? () => changes(bench.value.setup) : changes);
    }

    /** The bench anew: with the cross-check of another chart or evening. */
    function refresh(): Promise<boolean> {
        return change('GET', '/workbench', undefined, 'note');
    }

    async function sendChange(id: number, method: Method, url: string, body?: unknown, alsoAt?: AlsoAt): Promise<boolean> {
        keeping.value = true;
        try {
            const next = await send<WorkbenchData>(method, url, body);
            if (bench.value.candidate.id === id) {
                bench.value = next;
                // what was refused stays told while the bench is only read anew
                if (method !== 'GET') {
                    forget();
                }
            }
            return true;
        } catch (error) {
            if (error instanceof Refusal && error.errors.doubt !== undefined) {
                const answer = await ask(error, body);
                return answer === null ? false : await sendChange(id, method, url, answer, alsoAt);
            }
            refuse(error, alsoAt);
            return false;
        } finally {
            keeping.value = false;
            if (method !== 'GET') {
                router.reload({ only: ['dayLine', 'links'] });
            }
        }
    }

    /** Ask what was meant; null when neither. */
    function ask(refusal: Refusal, body: unknown): Promise<unknown> {
        const probable = refusal.errors.doubt ?? '';
        const field = Object.keys(refusal.errors).find((name) => name !== 'doubt') ?? 'price';
        return new Promise((answer) => {
            confirm.require({
                header: 'Is this the price you mean?',
                message: refusal.errors[field] ?? '',
                acceptProps: { label: `Use ${probable}` },
                rejectProps: { label: 'Keep it as typed', severity: 'secondary', outlined: true },
                accept: () => answer(withPrice(body, field, probable)),
                reject: () => answer({ ...(body as object), sure: true }),
                onHide: () => answer(null),
            });
        });
    }

    function refuse(error: unknown, alsoAt?: AlsoAt): void {
        if (!(error instanceof Refusal)) {
            toast.add({ severity: 'error', summary: (error as Error).message, life: 8000 });
        } else if (error.errors.stale !== undefined) {
            // what someone else did is shown; what was tried is told
            toast.add({ severity: 'warn', summary: error.errors.stale, life: 15000 });
            void refresh();
        } else if (alsoAt === 'new') {
            newLevelError.value = error.message;
        } else {
            errors.value = error.errors;
            if (alsoAt === 'note') {
                toast.add({ severity: 'warn', summary: error.message, detail: 'Nothing was changed.', life: 6000 });
            }
        }
    }

    const targets = (): { price: string; share: string }[] =>
        bench.value.setup.targets.map(({ price, share }) => ({ price, share }));

    /** Give a row of the ladder another price. */
    function setRow(row: LadderRowData, price: string): Promise<boolean> {
        switch (row.kind) {
            case 'level':
                return change('PATCH', `/levels/${row.levelId}`, { price }, 'note');
            case 'target': {
                const moved = targets().map((target, i) => (i === row.target ? { ...target, price } : target));
                return change('PATCH', '/setup', { targets: moved }, 'note');
            }
            default:
                return row.kind === 'entry' && row.target !== null
                    ? change('PATCH', '/setup', { leg: { number: row.target, price } }, 'note')
                    : change('PATCH', '/setup', { [row.kind]: price }, 'note');
        }
    }

    function deleteRow(row: LadderRowData): Promise<boolean> {
        switch (row.kind) {
            case 'level':
                return change('DELETE', `/levels/${row.levelId}`);
            case 'target': {
                const left = targets().filter((_, i) => i !== row.target);
                const only = left[0];
                return change('PATCH', '/setup', {
                    targets: left.length === 1 && only !== undefined ? [{ ...only, share: '1' }] : left,
                });
            }
            default:
                return row.kind === 'entry' && row.target !== null
                    ? plan((now) => ({ legs: withoutPart(now, row.target ?? 0) }))
                    : change('PATCH', '/setup', { [row.kind]: null });
        }
    }

    /** Make a price into the entry, the stop or a target. */
    function use(row: { price: string }, as: 'entry' | 'stop' | 'target'): Promise<boolean> {
        return change('POST', '/use', { price: row.price, as }, 'note');
    }

    /** Give a level another name, grade, form: whatever of it is told. */
    function describe(row: { levelId: number | null }, changes: LevelChanges): Promise<boolean> {
        return change('PATCH', `/levels/${row.levelId}`, changes, 'note');
    }

    /** The key of the level's row that a change adds; null when it was refused. */
    async function added(changed: () => Promise<boolean>): Promise<string | null> {
        const before = new Set(bench.value.ladder.map((row) => row.key));
        if (!(await changed())) {
            return null;
        }
        return bench.value.ladder.find((row) => row.kind === 'level' && !before.has(row.key))?.key ?? null;
    }

    /** Mark a level; the key of its row, null when it was refused. */
    function mark(level: LevelChanges, alsoAt: AlsoAt = 'new'): Promise<string | null> {
        return added(() => change('POST', '/levels', level, alsoAt));
    }

    /** Take a level of the cross-check over as one's own; the key of the new row. */
    function adopt(row: LadderRowData): Promise<string | null> {
        return added(() => change('POST', '/adopt', { key: row.key }, 'note'));
    }

    return {
        bench,
        errors,
        newLevelError,
        keeping,
        query,
        change,
        plan,
        refresh,
        setRow,
        deleteRow,
        use,
        describe,
        mark,
        adopt,
        settled: () => line,
    };
}

/** The body with another price at the field that was refused: "price", "entry.price", "targets.0.price", "from.price". */
function withPrice(body: unknown, field: string, price: string): unknown {
    const copy = structuredClone(body) as Record<string, unknown>;
    const [first = 'price', second, third = 'price'] = field.split('.');
    if (copy.legs !== undefined && (first === 'entry' || first === 'legs')) {
        const leg = (copy.legs as Record<string, string>[])[first === 'entry' ? 0 : Number(second)];
        if (leg !== undefined) {
            leg[first === 'entry' ? (second ?? 'price') : third] = price;
        }
        return copy;
    }
    if (first === 'legs') {
        copy.leg = { number: Number(second), price };
        return copy;
    }
    if (first === 'targets') {
        const target = (copy.targets as { price: string }[])[Number(second)];
        if (target !== undefined) {
            target.price = price;
        }
    } else if (typeof copy[first] === 'object' && copy[first] !== null) {
        copy[first] = { ...copy[first], price };
    } else {
        copy[first] = price;
    }
    return copy;
}
