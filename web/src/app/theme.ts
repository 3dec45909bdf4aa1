import { theme as antdTheme, type ThemeConfig } from 'antd';
import type { Colours } from '../state/preferences';

/** What a thumb hits without looking, px. WCAG 2.2, 2.5.5. */
const THUMB = 44;

/** The tokens of the look, once: base.css has the same values as custom properties for what is not a component. */
export const TOKENS = {
  day: {
    page: '#F4EFE4',
    card: '#FFFCF5',
    rim: '#1C2C40',
    text: '#26221E',
    dim: '#655D53',
    ember: '#B23C17',
    brass: '#855400',
    steam: '#255F7A',
    herb: '#3A6640',
    hair: '#DDD4C3',
    onStrong: '#FFFCF5',
  },
  night: {
    page: '#14181D',
    card: '#1D232A',
    rim: '#C9D3DF',
    text: '#EFE8DA',
    dim: '#AFA698',
    ember: '#F08A5D',
    brass: '#E3B341',
    steam: '#7FBEDB',
    herb: '#8CC084',
    hair: '#39414B',
    onStrong: '#14181D',
  },
} as const;

/**
 * Ant Design's theme in our colours.
 *
 * @param still - no motion at all: a style sheet's zero durations still leave a component waiting for an end of motion.
 * @param thumbs - whether it is pressed by thumbs: everything is as high as one is broad.
 * @param textScale - of the letters that the browser is set to, over its usual 16 px: what holds them grows along.
 */
// oxlint-disable-next-line max-lines-per-function -- a table of colours and sizes
export function themeOf(colours: Colours, still = false, thumbs = false, textScale = 1): ThemeConfig {
  const t = TOKENS[colours];
  const controlHeight = Math.max(thumbs ? THUMB : 0, Math.round(36 * textScale));
  return {
    algorithm: colours === 'night' ? antdTheme.darkAlgorithm : antdTheme.defaultAlgorithm,
    token: {
      colorPrimary: t.ember,
      colorInfo: t.steam,
      colorSuccess: t.herb,
      colorWarning: t.brass,
      colorError: t.ember,
      colorBgBase: t.card,
      colorBgLayout: t.page,
      colorBgContainer: t.card,
      colorBgElevated: t.card,
      colorText: t.text,
      colorTextSecondary: t.dim,
      colorTextTertiary: t.dim,
      colorTextDescription: t.dim,
      colorTextPlaceholder: t.dim,
      colorTextLightSolid: t.onStrong,
      colorBorder: t.dim,
      colorBorderSecondary: t.hair,
      colorSplit: t.hair,
      colorLink: t.steam,
      borderRadius: 10,
      borderRadiusSM: 5,
      borderRadiusLG: 10,
      controlHeight,
      ...(thumbs ? { controlHeightSM: THUMB } : {}),
      controlHeightLG: Math.round(52 * textScale),
      fontFamily: "'Atkinson Hyperlegible Next Variable', Verdana, sans-serif",
      fontSize: Math.round(15 * textScale),
      motion: !still,
      motionDurationMid: '0.1s',
      boxShadow: 'none',
      wireframe: false,
    },
    components: {
      Button: {
        primaryShadow: 'none',
        defaultShadow: 'none',
        fontWeight: 600,
        colorPrimary: t.ember,
        defaultBorderColor: t.rim,
        defaultColor: t.rim,
        lineWidth: 1.5,
      },
      Segmented: {
        itemSelectedBg: t.rim,
        itemSelectedColor: colours === 'night' ? t.page : t.card,
        trackBg: t.card,
        itemColor: t.text,
        trackPadding: 0,
      },
      Input: { activeShadow: 'none' },
      Select: { optionSelectedBg: t.hair, optionSelectedColor: t.text },
      Tabs: {
        inkBarColor: t.ember,
        itemSelectedColor: t.rim,
        itemColor: t.dim,
        itemHoverColor: t.rim,
        horizontalMargin: '0 0 4px 0',
      },
    },
  };
}
