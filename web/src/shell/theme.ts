import type { GlobalThemeOverrides } from 'naive-ui';

export type ThemeName = 'light' | 'lamp';

interface Palette {
  readonly ink: string;
  readonly soft: string;
  readonly ground: string;
  readonly paper: string;
  readonly chalk: string;
  readonly act: string;
  readonly actDeep: string;
  readonly onAct: string;
  readonly warn: string;
  readonly done: string;
}

/** The same colours as in tokens.css, where the component library needs them as values. */
const PALETTES: Readonly<Record<ThemeName, Palette>> = {
  light: {
    ink: '#202c4b',
    soft: '#4d5570',
    ground: '#f5f0e6',
    paper: '#fbf8f1',
    chalk: '#cfc5b1',
    act: '#9c2f33',
    actDeep: '#7d2226',
    onAct: '#ffffff',
    warn: '#7a5a00',
    done: '#48632f',
  },
  lamp: {
    ink: '#efe4cf',
    soft: '#cdc1aa',
    ground: '#1d1b18',
    paper: '#24211d',
    chalk: '#4a4339',
    act: '#e08a7e',
    actDeep: '#f0a99f',
    onAct: '#2a1311',
    warn: '#e5c35c',
    done: '#a9c486',
  },
};

/** What the component library's themes are changed by. */
export function themeOverrides(name: ThemeName): GlobalThemeOverrides {
  const c = PALETTES[name];
  return {
    common: {
      fontFamily: "'Atkinson Hyperlegible Next Variable', 'Segoe UI', sans-serif",
      fontSize: '15px',
      fontSizeMedium: '15px',
      fontSizeSmall: '14px',
      primaryColor: c.act,
      primaryColorHover: c.actDeep,
      primaryColorPressed: c.actDeep,
      primaryColorSuppl: c.act,
      textColorBase: c.ink,
      textColor1: c.ink,
      textColor2: c.ink,
      textColor3: c.soft,
      placeholderColor: c.soft,
      bodyColor: c.ground,
      cardColor: c.paper,
      modalColor: c.paper,
      popoverColor: c.paper,
      inputColor: c.paper,
      actionColor: c.ground,
      borderColor: c.chalk,
      dividerColor: c.chalk,
      warningColor: c.warn,
      successColor: c.done,
      errorColor: c.act,
      borderRadius: '5px',
    },
    Button: {
      textColorPrimary: c.onAct,
      textColorHoverPrimary: c.onAct,
      textColorPressedPrimary: c.onAct,
      textColorFocusPrimary: c.onAct,
    },
  };
}
