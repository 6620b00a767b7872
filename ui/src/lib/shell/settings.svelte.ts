type Theme = 'daylight' | 'night';
export type ViewUnit = 'mm' | 'in';

/** How this person looks at things; kept in the browser. */
class Settings {
  theme = $state<Theme>('daylight');
  unit = $state<ViewUnit>('mm');

  load() {
    const dark = matchMedia('(prefers-color-scheme: dark)').matches;
    const theme = localStorage.getItem('theme') ?? (dark ? 'night' : 'daylight');
    this.setTheme(theme === 'night' ? 'night' : 'daylight');
    this.unit = localStorage.getItem('unit') === 'in' ? 'in' : 'mm';
  }

  setTheme(theme: Theme) {
    this.theme = theme;
    localStorage.setItem('theme', theme);
    document.documentElement.dataset.theme = theme;
  }

  toggleTheme() {
    this.setTheme(this.theme === 'night' ? 'daylight' : 'night');
  }

  toggleUnit() {
    this.unit = this.unit === 'mm' ? 'in' : 'mm';
    localStorage.setItem('unit', this.unit);
  }
}

export const settings = new Settings();
