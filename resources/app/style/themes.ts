// Colours are called after dye plants: madder acts, indigo selects, weld asks for attention, woad informs,
// fern is settled. A wool colour is never one of these.
export const day = {
  dark: false,
  colors: {
    background: '#f4eee1',
    surface: '#fffdf7',
    'on-background': '#3a2a20',
    'on-surface': '#3a2a20',
    primary: '#9c3447',
    'on-primary': '#ffffff',
    secondary: '#3b4c8c',
    'on-secondary': '#ffffff',
    warning: '#8a6500',
    'on-warning': '#ffffff',
    info: '#2f6480',
    'on-info': '#ffffff',
    success: '#3f6b39',
    'on-success': '#ffffff',
    error: '#a3251f',
    'on-error': '#ffffff',
    quiet: '#6b5a4c',
    thread: '#b8a68c',
    paper: '#fffdf7',
    grid: '#e9dfca',
    'grid-strong': '#d9cbae',
    table: '#ebe2cf',
  },
  variables: { 'border-color': '#3a2a20', 'border-opacity': 0.16 },
}

export const lamp = {
  dark: true,
  colors: {
    background: '#1f1814',
    surface: '#2b221c',
    'on-background': '#f1e7d6',
    'on-surface': '#f1e7d6',
    primary: '#ec8c98',
    'on-primary': '#2a0d12',
    secondary: '#aab6f2',
    'on-secondary': '#141a38',
    warning: '#e8c25c',
    'on-warning': '#2a2000',
    info: '#93c2da',
    'on-info': '#08212d',
    success: '#9ac98f',
    'on-success': '#0f2409',
    error: '#ff9d94',
    'on-error': '#3a0703',
    quiet: '#bfae9c',
    thread: '#7a6956',
    paper: '#352b24',
    grid: '#40352c',
    'grid-strong': '#52453a',
    table: '#271f1a',
  },
  variables: { 'border-color': '#f1e7d6', 'border-opacity': 0.18 },
}

const KEY = 'impa:light'

export function rememberedTheme(): 'day' | 'lamp' {
  return localStorage.getItem(KEY) === 'lamp' ? 'lamp' : 'day'
}

export function rememberTheme(name: 'day' | 'lamp'): void {
  localStorage.setItem(KEY, name)
}
