import { router } from '@inertiajs/vue3';
import { useToast } from 'primevue/usetoast';
import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import type { LadderRowData, WorkbenchData } from '@/types/data';
import { Refusal, send } from './http';

/** Where a refusal is told besides its own field: where a new level is typed, or in a note. */
type AlsoAt = 'new' | 'note';

/**
 * The workbench of a candidate: what stands on it, and the changes made to it. Every change is sent at once, one after
 * the other in the order in which they were made; what comes back is the whole bench. A refusal is told at its field,
 * and the old value stays.
 */
export function useBench(given: Ref<WorkbenchData>) {
    const toast = useToast();
    const bench = shallowRef(given.value);
    const errors = ref<Record<string, string>>({});
    const newLevelError = ref<string | null>(null);
    const keeping = ref(false);
    const base = computed(() => `/plan/mark/${bench.value.candidate.id}`);
    let line: Promise<unknown> = Promise.resolve();

    watch(given, (next) => (bench.value = next));

    function change(method: 'POST' | 'PATCH' | 'DELETE', path: string, body?: unknown, alsoAt?: AlsoAt): Promise<boolean> {
        const turn = line.then(() => sendChange(method, path, body, alsoAt));
        line = turn;
        return turn;
    }

    async function sendChange(
        method: 'POST' | 'PATCH' | 'DELETE',
        path: string,
        body?: unknown,
        alsoAt?: AlsoAt,
    ): Promise<boolean> {
        keeping.value = true;
        try {
            bench.value = await send<WorkbenchData>(method, `${base.value}${path}`, body);
            errors.value = {};
            newLevelError.value = null;
            return true;
        } catch (error) {
            refuse(error, alsoAt);
            return false;
        } finally {
            keeping.value = false;
            router.reload({ only: ['dayLine', 'links'] });
        }
    }

    function refuse(error: unknown, alsoAt?: AlsoAt): void {
        if (!(error instanceof Refusal)) {
            toast.add({ severity: 'error', summary: (error as Error).message, life: 8000 });
        } else if (alsoAt === 'new') {
            newLevelError.value = error.message;
        } else {
            errors.value = error.errors;
            if (alsoAt === 'note') {
                toast.add({ severity: 'warn', summary: error.message, detail: 'The price stays as it was.', life: 6000 });
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
                return change('PATCH', '/setup', { [row.kind]: price }, 'note');
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
                return change('PATCH', '/setup', { [row.kind]: null });
        }
    }

    /** Make a price into the entry, the stop or a target. */
    function use(row: { price: string }, as: 'entry' | 'stop' | 'target'): Promise<boolean> {
        return change('POST', '/use', { price: row.price, as }, 'note');
    }

    /** Name the origin of a level, or give it another grade. */
    function describe(row: LadderRowData, changes: { origin?: string; grade?: string }): Promise<boolean> {
        return change(
            'PATCH',
            `/levels/${row.levelId}`,
            { price: row.price, origin: row.label, grade: row.grade, ...changes },
            'note',
        );
    }

    /** Mark a level; the key of its row, null when it was refused. */
    async function mark(price: string): Promise<string | null> {
        if (!(await change('POST', '/levels', { price }, 'new'))) {
            return null;
        }
        return bench.value.ladder.find((row) => row.kind === 'level' && Number(row.price) === Number(price))?.key ?? null;
    }

    return { bench, errors, newLevelError, keeping, change, setRow, deleteRow, use, describe, mark, settled: () => line };
}
