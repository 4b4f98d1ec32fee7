import { useQuery } from '@tanstack/react-query'
import { useCommand } from '../ui/command'
import { api, ask } from '../api/client'
import { Link } from 'react-router'
import { FileInput } from '../ui/FileInput'
import { Only } from '../ui/may'
import { Loaded, Page, ProblemNotice, Section } from '../ui/page'
import { date, figure } from '../ui/words'

export const useWeather = (days: number) =>
  useQuery({
    queryKey: ['weather', days],
    queryFn: () => ask(api.GET('/api/field/weather', { params: { query: { days } } })),
  })

/** The last days, and whether what is picked today is dry. */
export function Weather({ days = 7 }: { days?: number }) {
  const weather = useWeather(days)
  return (
    <Loaded query={weather}>
      {(w) => {
        const today = w.days.at(-1)
        if (!today)
          return (
            <Section title="Weather">
              <p>
                None is known, so seasons go by the calendar.{' '}
                <Link className="underline" to="/field/weather">
                  Read in your own
                </Link>
              </p>
            </Section>
          )
        return (
          <Section title="Weather">
            <p>
              {figure(today.lowC)} to <strong>{figure(today.highC)} °C</strong>,{' '}
              {today.rainMm > 0 ? `${figure(today.rainMm)} mm of rain` : 'no rain'},{' '}
              {figure(today.humidity * 100)} % humidity.{' '}
              {today.dryEnough != null && (
                <strong className={today.dryEnough ? 'text-lichen' : 'text-amber'}>
                  {today.dryEnough ? 'Dry enough to pick.' : 'Too wet to pick for drying.'}
                </strong>
              )}
            </p>
            <ul className="text-soft mt-1 flex flex-wrap gap-x-4 text-sm">
              {w.days.slice(-4, -1).map((d) => (
                <li key={d.day}>
                  {date(d.day)}: {figure(d.lowC)} to {figure(d.highC)} °C
                  {d.rainMm > 0 ? `, ${figure(d.rainMm)} mm` : ''}
                  {d.frost ? ', frost' : ''}
                </li>
              ))}
            </ul>
            <p className="text-soft text-sm">
              {w.source === 'SIMULATED' && 'From the simulated station; no real weather. '}
              <Link className="underline" to="/field/weather">
                The last weeks, and your own readings
              </Link>
            </p>
          </Section>
        )
      }}
    </Loaded>
  )
}

/** The household's own readings, from a file. */
export function ReadWeather() {
  const weather = useWeather(1)
  const read = useCommand('field', {
    mutationFn: async (file: File) =>
      ask(
        api.POST('/api/field/weather', {
          body: await file.text(),
          bodySerializer: (text: string) => text,
          headers: { 'Content-Type': 'text/csv' },
        }),
      ),
  })
  return (
    <Section title="Whose weather">
      <p>
        {
          {
            OWN: 'Your own readings are used.',
            SIMULATED: 'The simulated station is used: try-out weather, not yours.',
            NONE: 'None is known. Forecasts go by the calendar, and nobody says when it is dry enough to pick.',
          }[weather.data?.source ?? 'NONE']
        }
      </p>
      <Only deed="record">
        <FileInput
          label="A table of your own readings (CSV)"
          accept=".csv,text/csv"
          onFile={(file) => read.mutate(file)}
        />
        <p className="text-soft text-sm">
          A line of names, day, low_c, high_c, rain_mm, humidity_percent, then a line a day. With three years
          and more, seasons are counted by warmth.
        </p>
        <ProblemNotice error={read.error} />
        {read.data && <p role="status">{figure(read.data.read)} days read.</p>}
      </Only>
    </Section>
  )
}

export function WeatherPage() {
  const weather = useWeather(60)
  return (
    <Page title="Weather">
      <div className="grid gap-4 lg:grid-cols-[3fr_2fr]">
        <Section title="The last sixty days">
          <Loaded query={weather}>
            {(w) =>
              w.days.length === 0 ? (
                <p>None is known.</p>
              ) : (
                <table className="w-full text-left">
                  <thead>
                    <tr className="text-soft text-sm">
                      <th scope="col">Day</th>
                      <th scope="col">Lowest</th>
                      <th scope="col">Highest</th>
                      <th scope="col">Rain</th>
                      <th scope="col">Humidity</th>
                      <th scope="col">Picking</th>
                    </tr>
                  </thead>
                  <tbody>
                    {[...w.days].reverse().map((d) => (
                      <tr key={d.day} className="border-line border-t">
                        <td>{date(d.day)}</td>
                        <td>
                          {figure(d.lowC)} °C{d.frost ? ', frost' : ''}
                        </td>
                        <td>{figure(d.highC)} °C</td>
                        <td>{figure(d.rainMm)} mm</td>
                        <td>{figure(d.humidity * 100)} %</td>
                        <td>{d.dryEnough == null ? '' : d.dryEnough ? 'dry' : 'wet'}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              )
            }
          </Loaded>
        </Section>
        <ReadWeather />
      </div>
    </Page>
  )
}
