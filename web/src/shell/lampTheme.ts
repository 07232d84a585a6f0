/** The component library's dark theme holds that of every component: it is loaded when lamp-light is switched on. */
export { darkTheme } from 'naive-ui';
