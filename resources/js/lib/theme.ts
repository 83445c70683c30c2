import { definePreset } from '@primeuix/themes';
import Aura from '@primeuix/themes/aura';
import { ref } from 'vue';

const ink = {
    50: '#f2f4f6',
    100: '#dfe4ea',
    200: '#bfc9d4',
    300: '#98a7b7',
    400: '#6d8095',
    500: '#425569',
    600: '#33455a',
    700: '#263647',
    800: '#1b2836',
    900: '#131d28',
    950: '#0c131b',
};

const paper = {
    0: '#fffdf8',
    50: '#f9f5ec',
    100: '#f1ebde',
    200: '#e4dccb',
    300: '#d0c6b2',
    400: '#a89e8b',
    500: '#7b7466',
    600: '#5d574c',
    700: '#454138',
    800: '#2e2b26',
    900: '#1f1d1a',
    950: '#141311',
};

const night = {
    0: '#ffffff',
    50: '#e9e4d8',
    100: '#d3cfc4',
    200: '#b1b2b0',
    300: '#8b929a',
    400: '#6c7683',
    500: '#505c6b',
    600: '#3b4757',
    700: '#2a3544',
    800: '#1c2532',
    900: '#131b26',
    950: '#0d141d',
};

/** PrimeVue in ink on paper: square corners, no shadow but on what floats. */
export const preset = definePreset(Aura, {
    primitive: { borderRadius: { xs: '1px', sm: '2px', md: '2px', lg: '3px', xl: '4px' } },
    semantic: {
        primary: ink,
        formField: {
            paddingX: '0.5rem',
            paddingY: '0.25rem',
            sm: { fontSize: '0.8125rem', paddingX: '0.4rem', paddingY: '0.15rem' },
        },
        colorScheme: {
            light: {
                surface: paper,
                primary: {
                    color: '{primary.700}',
                    contrastColor: '#fffdf8',
                    hoverColor: '{primary.600}',
                    activeColor: '{primary.800}',
                },
            },
            dark: {
                surface: night,
                primary: {
                    color: '{primary.200}',
                    contrastColor: '{primary.950}',
                    hoverColor: '{primary.100}',
                    activeColor: '{primary.300}',
                },
            },
        },
    },
});

const KEY = 'watchpost-theme';
export const dark = ref(false);

export function startTheme(): void {
    const kept = localStorage.getItem(KEY);
    apply(kept === null ? window.matchMedia('(prefers-color-scheme: dark)').matches : kept === 'dark');
}

export function toggleTheme(): void {
    apply(!dark.value);
    localStorage.setItem(KEY, dark.value ? 'dark' : 'light');
}

function apply(value: boolean): void {
    dark.value = value;
    document.documentElement.classList.toggle('dark', value);
}
