'use client'
import { theme, type ThemeConfig } from 'antd'
import { DARK, LIGHT } from './palette'
import { useLayoutEffect, useSyncExternalStore } from 'react'

const KEY = 'luvren.theme'

export type ThemeChoice = 'light' | 'dark' | 'as the system'
const listeners = new Set<() => void>()

export function themeChoice(): ThemeChoice {
  const kept = typeof localStorage === 'undefined' ? null : localStorage.getItem(KEY)
  return kept === 'light' || kept === 'dark' ? kept : 'as the system'
}

export function chooseTheme(choice: ThemeChoice): void {
  localStorage.setItem(KEY, choice)
  for (const listener of listeners) listener()
}

function isDark(): boolean {
  const choice = themeChoice()
  return (
    choice === 'dark' || (choice === 'as the system' && matchMedia('(prefers-color-scheme: dark)').matches)
  )
}

/** What was chosen, for showing it. */
export const useThemeChoice = (): ThemeChoice =>
  useSyncExternalStore(
    (changed) => {
      listeners.add(changed)
      return () => listeners.delete(changed)
    },
    themeChoice,
    () => 'as the system',
  )

/** Whether the dark theme is on; also marks the page, for the style sheets. */
export function useDark(): boolean {
  const dark = useSyncExternalStore(
    (changed) => {
      const media = matchMedia('(prefers-color-scheme: dark)')
      listeners.add(changed)
      media.addEventListener('change', changed)
      return () => {
        listeners.delete(changed)
        media.removeEventListener('change', changed)
      }
    },
    isDark,
    () => false,
  )
  useLayoutEffect(() => {
    document.documentElement.dataset.theme = dark ? 'dark' : 'light'
  }, [dark])
  return dark
}

const SANS = '"Atkinson Hyperlegible Next Variable", sans-serif'

/** Ant Design's controls in our ink and paper. */
export function antdTheme(dark: boolean): ThemeConfig {
  const c = dark ? DARK : LIGHT
  return {
    algorithm: dark ? theme.darkAlgorithm : theme.defaultAlgorithm,
    token: {
      colorPrimary: c.ink,
      colorInfo: c.ink,
      colorSuccess: c.ink,
      colorWarning: c.mark,
      colorError: c.mark,
      colorBgBase: c.sheet,
      colorBgContainer: c.sheet,
      colorBgElevated: c.sheet,
      colorTextBase: c.ink,
      colorTextPlaceholder: c.ink2,
      colorBorder: c.hair2,
      colorBorderSecondary: c.hair2,
      colorLink: c.ink,
      borderRadius: 3,
      fontFamily: SANS,
      fontSize: 13.5,
      controlHeight: 30,
      colorBgMask: dark ? 'rgb(0 0 0 / 45%)' : 'rgb(29 34 48 / 22%)',
      colorBgSpotlight: dark ? '#343a46' : c.ink,
      boxShadow: 'none',
      boxShadowSecondary: dark ? '0 4px 20px rgb(0 0 0 / 50%)' : '0 4px 20px rgb(29 34 48 / 12%)',
      // A dialog that grows under the pointer loses the press that began before it had grown.
      motion: false,
    },
    components: {
      Button: { primaryShadow: 'none', defaultShadow: 'none', primaryColor: c.paper, fontWeight: 600 },
      Input: { activeShadow: 'none' },
      Select: { optionSelectedBg: c.tint },
      Modal: { titleFontSize: 17 },
    },
  }
}
