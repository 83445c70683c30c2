import { router } from '@inertiajs/vue3';
import { onBeforeUnmount, watch } from 'vue';

const AFTER = 1000;

/**
 * While something is on its way, look again every second.
 *
 * @param told what the page was told last; it is asked for anew after each answer
 */
export function useLookAgain(told: () => unknown, underWay: () => boolean, only: string[]): void {
    let timer: ReturnType<typeof setTimeout> | undefined;
    watch(
        told,
        () => {
            clearTimeout(timer);
            if (underWay()) {
                timer = setTimeout(() => router.reload({ only }), AFTER);
            }
        },
        { immediate: true },
    );
    onBeforeUnmount(() => clearTimeout(timer));
}
