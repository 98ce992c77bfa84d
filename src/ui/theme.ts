import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';
import {
  animationStyles,
  badgeRecipe,
  breakpoints,
  buttonRecipe,
  cssVarsPrefix,
  cssVarsRoot,
  dialogSlotRecipe,
  fieldSlotRecipe,
  globalCss,
  headingRecipe,
  iconRecipe,
  inputAddonRecipe,
  inputRecipe,
  keyframes,
  layerStyles,
  linkRecipe,
  listSlotRecipe,
  nativeSelectSlotRecipe,
  progressSlotRecipe,
  segmentGroupSlotRecipe,
  semanticTokens,
  spinnerRecipe,
  textareaRecipe,
  textStyles,
  toastSlotRecipe,
  tokens,
} from '@chakra-ui/react/theme';

/** Recipes of Chakra's theme that our screens use: a component that is used for the first time needs its recipe named here. */
const chakra = defineConfig({
  preflight: true,
  cssVarsPrefix,
  cssVarsRoot,
  globalCss,
  theme: {
    breakpoints,
    keyframes,
    tokens,
    semanticTokens,
    textStyles,
    layerStyles,
    animationStyles,
    recipes: {
      badge: badgeRecipe,
      button: buttonRecipe,
      heading: headingRecipe,
      icon: iconRecipe,
      input: inputRecipe,
      inputAddon: inputAddonRecipe,
      link: linkRecipe,
      spinner: spinnerRecipe,
      textarea: textareaRecipe,
    },
    slotRecipes: {
      dialog: dialogSlotRecipe,
      field: fieldSlotRecipe,
      list: listSlotRecipe,
      nativeSelect: nativeSelectSlotRecipe,
      progress: progressSlotRecipe,
      segmentGroup: segmentGroupSlotRecipe,
      toast: toastSlotRecipe,
    },
  },
});

/**
 * The look of the room, in one place: chalk-white and bottle green by day, the green of a cutting mat by night, the
 * yellow of a tape measure as the one bright accent. Corners are nearly square, as cut cloth is; numerals are large.
 */
const config = defineConfig({
  globalCss: {
    'html, body': { bg: 'bg', color: 'fg', fontFamily: 'body', fontVariantNumeric: 'tabular-nums', minHeight: '100%' },
    'h1, h2, h3': { fontFamily: 'heading', letterSpacing: '-0.01em' },
    ':focus-visible': { outline: '3px solid', outlineColor: 'tape', outlineOffset: '2px' },
    '::selection': { bg: 'tape', color: '#14241f' },
  },
  theme: {
    keyframes: {
      flash: { '0%': { backgroundColor: 'var(--chakra-colors-tape)' }, '100%': { backgroundColor: 'transparent' } },
    },
    tokens: {
      fonts: {
        body: { value: `'Atkinson Hyperlegible Next Variable', system-ui, sans-serif` },
        heading: { value: `'Bitter Variable', Georgia, serif` },
      },
      radii: {
        xs: { value: '1px' },
        sm: { value: '2px' },
        md: { value: '3px' },
        lg: { value: '4px' },
        xl: { value: '5px' },
      },
      colors: {
        bottle: {
          50: { value: '#e8f3ef' },
          100: { value: '#cbe4db' },
          200: { value: '#9fcdbd' },
          300: { value: '#6bb79d' },
          400: { value: '#3f9a7e' },
          500: { value: '#1f7d62' },
          600: { value: '#0f5c4a' },
          700: { value: '#0c4a3c' },
          800: { value: '#0a3a30' },
          900: { value: '#082c25' },
          950: { value: '#051c18' },
        },
        madder: {
          50: { value: '#fbecea' },
          100: { value: '#f5d2cd' },
          200: { value: '#eaa69d' },
          300: { value: '#dd7a6e' },
          400: { value: '#cd5546' },
          500: { value: '#b93a2b' },
          600: { value: '#992d20' },
          700: { value: '#78231a' },
          800: { value: '#571a13' },
          900: { value: '#39110d' },
          950: { value: '#230a07' },
        },
      },
    },
    semanticTokens: {
      colors: {
        bg: {
          DEFAULT: { value: { _light: '#f2f5f1', _dark: '#0f1f1b' } },
          subtle: { value: { _light: '#e7ece7', _dark: '#162a25' } },
          muted: { value: { _light: '#dbe3dc', _dark: '#1d352f' } },
          panel: { value: { _light: '#ffffff', _dark: '#152823' } },
        },
        fg: {
          DEFAULT: { value: { _light: '#14241f', _dark: '#eaf2ee' } },
          muted: { value: { _light: '#4a5c55', _dark: '#a9bdb5' } },
          subtle: { value: { _light: '#5f7069', _dark: '#8ea69c' } },
          error: { value: { _light: '#992d20', _dark: '#f19a8e' } },
        },
        border: {
          DEFAULT: { value: { _light: '#c3cec6', _dark: '#31504a' } },
          muted: { value: { _light: '#d9e1db', _dark: '#24403a' } },
          error: { value: { _light: '#b93a2b', _dark: '#dd7a6e' } },
        },
        tape: { value: { _light: '#f4c21f', _dark: '#e8b91f' } },
        warn: {
          bg: { value: { _light: '#fff4d1', _dark: '#3a3113' } },
          line: { value: { _light: '#d29a00', _dark: '#e8b91f' } },
        },
        stop: {
          bg: { value: { _light: '#fbecea', _dark: '#3b1a16' } },
          line: { value: { _light: '#b93a2b', _dark: '#dd7a6e' } },
        },
        bottle: {
          solid: { value: { _light: '{colors.bottle.600}', _dark: '{colors.bottle.300}' } },
          contrast: { value: { _light: 'white', _dark: '#051c18' } },
          fg: { value: { _light: '{colors.bottle.700}', _dark: '{colors.bottle.200}' } },
          muted: { value: { _light: '{colors.bottle.100}', _dark: '{colors.bottle.800}' } },
          subtle: { value: { _light: '{colors.bottle.50}', _dark: '{colors.bottle.900}' } },
          emphasized: { value: { _light: '{colors.bottle.200}', _dark: '{colors.bottle.700}' } },
          focusRing: { value: '{colors.tape}' },
          border: { value: { _light: '{colors.bottle.300}', _dark: '{colors.bottle.600}' } },
        },
        madder: {
          solid: { value: { _light: '{colors.madder.500}', _dark: '{colors.madder.300}' } },
          contrast: { value: { _light: 'white', _dark: '#230a07' } },
          fg: { value: { _light: '{colors.madder.600}', _dark: '{colors.madder.200}' } },
          muted: { value: { _light: '{colors.madder.100}', _dark: '{colors.madder.800}' } },
          subtle: { value: { _light: '{colors.madder.50}', _dark: '{colors.madder.900}' } },
          emphasized: { value: { _light: '{colors.madder.200}', _dark: '{colors.madder.700}' } },
          focusRing: { value: '{colors.tape}' },
          border: { value: { _light: '{colors.madder.300}', _dark: '{colors.madder.600}' } },
        },
      },
    },
    slotRecipes: {
      nativeSelect: {
        slots: ['root', 'field', 'indicator'],
        base: { field: { borderRadius: 'sm', bg: 'bg.panel' } },
        variants: { size: { md: { field: { h: '11', textStyle: 'md' } } } },
      },
    },
    recipes: {
      button: {
        base: { fontWeight: '600', borderRadius: 'sm', colorPalette: 'bottle' as never },
        variants: {
          size: {
            md: { h: '11', minW: '11', px: '5', textStyle: 'md' },
            sm: { h: '9', px: '3.5' },
            lg: { h: '14', px: '7', textStyle: 'lg' },
          },
        },
      },
      input: { base: { borderRadius: 'sm', bg: 'bg.panel' }, variants: { size: { md: { h: '11', textStyle: 'md' } } } },
    },
  },
});

export const system = createSystem(defaultBaseConfig, chakra, config);
