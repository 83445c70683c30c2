import { router } from '@inertiajs/vue3';
import { useToast } from 'primevue/usetoast';
import { send } from './http';
import type { Shortcut } from './keys';

interface Travelled {
    message: string | null;
    candidateId: number | null;
}

/**
 * Undo and redo of the plan's draft, with their keys.
 *
 * @param arrived what to do once a change was undone or made again; the page is loaded anew unless told otherwise
 * @param settle  waits for changes that are still on their way
 */
export function useUndo(
    arrived: (to: Travelled) => void = () => router.reload(),
    settle: () => Promise<unknown> = () => Promise.resolve(),
) {
    const toast = useToast();

    // pressed twice, it goes two steps, one after the other
    let line: Promise<void> = Promise.resolve();

    function travel(way: 'undo' | 'redo'): Promise<void> {
        line = line.then(() => step(way));
        return line;
    }

    async function step(way: 'undo' | 'redo'): Promise<void> {
        try {
            await settle();
            const to = await send<Travelled>('POST', `/plan/${way}`);
            toast.add({ severity: 'secondary', summary: to.message ?? `Nothing to ${way}.`, life: 3000 });
            arrived(to);
        } catch (error) {
            toast.add({ severity: 'error', summary: (error as Error).message, life: 6000 });
        }
    }

    const undoKeys: Shortcut[] = [
        { keys: 'Ctrl+z', does: 'undo', run: () => void travel('undo') },
        { keys: 'Ctrl+y', does: 'redo', run: () => void travel('redo') },
    ];

    return { travel, undoKeys };
}
