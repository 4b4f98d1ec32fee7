import { useState } from 'react'
import { Link } from 'react-router'
import { Danger } from '../ui/Danger'
import { Input } from '../ui/controls'
import { Empty, Loaded, Page } from '../ui/page'
import { lower } from '../ui/words'
import { useTaxa } from './queries'

export function Herbarium() {
  const [q, setQ] = useState('')
  const taxa = useTaxa(q)
  return (
    <Page title="Herbarium">
      <div className="mb-3 max-w-md">
        <Input
          label="Find by any name"
          value={q}
          onChange={(e) => setQ(e.target.value)}
          hint="current, older or common name"
        />
      </div>
      <Loaded query={taxa}>
        {(all) =>
          all.length === 0 ? (
            <Empty>No card has this name. Try a part of it, or the scientific name.</Empty>
          ) : (
            <ul className="grid gap-x-6 sm:grid-cols-2 lg:grid-cols-3">
              {all.map((t) => (
                <li key={t.id} className="border-line border-b py-2">
                  <Link to={`/herbarium/${t.id}`} className="font-medium underline">
                    {t.commonName}
                  </Link>{' '}
                  <Danger level={t.danger} />
                  <p className="font-plant italic">{t.name}</p>
                  <p className="text-soft text-sm">
                    {t.parts.length === 0 ? 'not gathered' : t.parts.map(lower).join(', ')}
                  </p>
                </li>
              ))}
            </ul>
          )
        }
      </Loaded>
    </Page>
  )
}
