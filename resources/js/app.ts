import '@fontsource-variable/source-sans-3';
import '@fontsource-variable/source-serif-4';
import 'primeicons/primeicons.css';
import './app.css';
import { createInertiaApp, router } from '@inertiajs/vue3';
import PrimeVue from 'primevue/config';
import ConfirmationService from 'primevue/confirmationservice';
import ToastService from 'primevue/toastservice';
import { createApp, h, type DefineComponent } from 'vue';
import { revisionHeaders } from './lib/revision';
import { preset, startTheme } from './lib/theme';

startTheme();

router.on('before', (event) => {
    Object.assign(event.detail.visit.headers, revisionHeaders());
});

const pages = import.meta.glob<{ default: DefineComponent }>('./pages/*.vue');

void createInertiaApp({
    title: (title) => (title === '' ? 'Watchpost' : `${title} · Watchpost`),
    resolve: (name) => {
        const page = pages[`./pages/${name}.vue`];
        if (page === undefined) {
            throw new Error(`There is no page ${name}.`);
        }
        return page().then((module) => module.default);
    },
    setup({ el, App, props, plugin }) {
        createApp({ render: () => h(App, props) })
            .use(plugin)
            .use(PrimeVue, {
                theme: { preset, options: { darkModeSelector: '.dark', cssLayer: { name: 'primevue', order: 'primevue' } } },
            })
            .use(ToastService)
            .use(ConfirmationService)
            .mount(el);
    },
    progress: { color: '#b07d12', delay: 200 },
});
