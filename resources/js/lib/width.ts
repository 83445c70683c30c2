import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue';

/** The width of an element in pixels, followed while it is on screen. */
export function useWidth(element: Ref<HTMLElement | undefined>, atFirst: number): Ref<number> {
    const width = ref(atFirst);
    const watcher = new ResizeObserver(([box]) => {
        if (box !== undefined) {
            width.value = Math.floor(box.contentRect.width);
        }
    });
    onMounted(() => element.value !== undefined && watcher.observe(element.value));
    onBeforeUnmount(() => watcher.disconnect());
    return width;
}
