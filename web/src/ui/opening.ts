/** What opens from a button: loaded when it is opened for the first time. */
export { NDropdown, NPopover } from 'naive-ui';
