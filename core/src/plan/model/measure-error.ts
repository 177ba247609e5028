/** "3.5 % more": how far off, for a person. @param errPct signed, in per cent */
export function measureErrorText(errPct: string): string {
  const size = errPct
    .replace('-', '')
    .replace(/(\.\d)\d*$/, '$1')
    .replace(/\.0$/, '')
  return `${size === '0' ? 'under 0.1' : size} % ${errPct.startsWith('-') ? 'less' : 'more'}`
}
