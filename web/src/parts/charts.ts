/** Bars in the look of Lea; each chart has its figures beside it as words. */
import { BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js'

Chart.register(BarElement, CategoryScale, LinearScale, Tooltip)
Chart.defaults.font.family = getComputedStyle(document.documentElement).fontFamily
Chart.defaults.font.size = 13
Chart.defaults.color = '#17312b'

/** @param y what the bars count @param whole they count whole things */
export const barOptions = (y: string, whole = true) => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false as const,
  scales: {
    x: { grid: { display: false } },
    y: {
      beginAtZero: true,
      ticks: { maxTicksLimit: 5, ...(whole && { precision: 0 }) },
      title: { display: true, text: y },
    },
  },
})
