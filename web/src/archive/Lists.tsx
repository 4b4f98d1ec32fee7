import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask } from '../api/client'
import { Choose } from '../ui/Choose'
import { Loaded, Section } from '../ui/page'

type Decimal = 'POINT' | 'COMMA'
const DECIMALS: { value: Decimal; label: string }[] = [
  { value: 'POINT', label: '1.5, fields parted by commas' },
  { value: 'COMMA', label: '1,5, fields parted by semicolons' },
]

/** For whoever wants one list in a spreadsheet. */
export function Lists() {
  const [decimal, setDecimal] = useState<Decimal>('POINT')
  const lists = useQuery({ queryKey: ['archive'], queryFn: () => ask(api.GET('/api/archive/lists')) })
  return (
    <Section title="One list, for a spreadsheet">
      <Choose label="Numbers are written" value={decimal} choices={DECIMALS} onChange={setDecimal} />
      <Loaded query={lists}>
        {(all) => (
          <ul className="mt-2 columns-2">
            {all.map((l) => (
              <li key={l.name} className="py-1">
                <a
                  className="text-note underline"
                  href={`/api/archive/lists/${l.name}.csv?decimal=${decimal}`}
                  download
                >
                  {l.words}
                </a>
              </li>
            ))}
          </ul>
        )}
      </Loaded>
    </Section>
  )
}
