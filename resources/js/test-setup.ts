import { config } from '@vue/test-utils';
import PrimeVue from 'primevue/config';
import ToastService from 'primevue/toastservice';
import { vi } from 'vitest';

config.global.plugins = [PrimeVue, ToastService];

vi.stubGlobal(
    'matchMedia',
    vi.fn(() => ({
        matches: false,
        addEventListener: vi.fn(),
        removeEventListener: vi.fn(),
        addListener: vi.fn(),
        removeListener: vi.fn(),
    })),
);
vi.stubGlobal(
    'ResizeObserver',
    class {
        observe(): void {}
        disconnect(): void {}
        unobserve(): void {}
    },
);
Element.prototype.setPointerCapture = () => {};
