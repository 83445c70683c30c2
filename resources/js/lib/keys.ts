import { onBeforeUnmount, onMounted, ref } from 'vue';

export interface Shortcut {
    /** as in KeyboardEvent.key, with "Ctrl+", "Alt+" or "Shift+" before it */
    keys: string;
    does: string;
    run: () => void;
    /** also while a field has the focus */
    inFields?: boolean;
    /** told in the help only: the key is handled elsewhere */
    told?: boolean;
}

/** The shortcuts of the present screen, for the help. */
export const shown = ref<Shortcut[]>([]);
export const helpOpen = ref(false);

function name(event: KeyboardEvent): string {
    const parts = [];
    if (event.ctrlKey || event.metaKey) parts.push('Ctrl');
    if (event.altKey) parts.push('Alt');
    if (event.shiftKey && event.key.length > 1) parts.push('Shift');
    parts.push(event.key.length === 1 && (event.ctrlKey || event.metaKey) ? event.key.toLowerCase() : event.key);
    return parts.join('+');
}

export function inField(target: EventTarget | null): boolean {
    return (
        target instanceof HTMLElement && (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
    );
}

function inOverlay(target: EventTarget | null): boolean {
    return target instanceof HTMLElement && target.closest('[role="dialog"], [role="listbox"], [role="menu"]') !== null;
}

/** Shortcuts of a screen: active while it is mounted, listed in the help on `?`. */
export function useShortcuts(shortcuts: Shortcut[]): void {
    const twice = shortcuts.find((one, i) => shortcuts.findIndex(({ keys }) => keys === one.keys) !== i);
    if (twice !== undefined) {
        throw new Error(`Two shortcuts of this screen are ${twice.keys}.`);
    }
    const listen = (event: KeyboardEvent): void => {
        if (event.defaultPrevented || inOverlay(event.target)) {
            return;
        }
        const pressed = name(event);
        const shortcut = shortcuts.find(
            (one) => !one.told && one.keys === pressed && (one.inFields === true || !inField(event.target)),
        );
        if (shortcut !== undefined) {
            event.preventDefault();
            shortcut.run();
        } else if (pressed === '?' && !inField(event.target)) {
            event.preventDefault();
            helpOpen.value = true;
        }
    };
    onMounted(() => {
        shown.value = shortcuts;
        window.addEventListener('keydown', listen);
    });
    onBeforeUnmount(() => {
        shown.value = [];
        window.removeEventListener('keydown', listen);
    });
}
