import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, ask, type Schemas } from '../api/client'
import { Choose } from '../ui/Choose'
import { FileInput } from '../ui/FileInput'
import { pageOnly } from '../ui/may'
import { Loaded, Page, Section } from '../ui/page'
import { Table } from './Table'
import { TakenLists } from './TakenLists'

type List = Schemas['ListInView']

/** Lists kept elsewhere until now. */
export const ListsIn = pageOnly('keep', function ListsIn() {
  const lists = useQuery({
    queryKey: ['archive', 'tables'],
    queryFn: () => ask(api.GET('/api/archive/tables')),
  })
  return (
    <Page title="Read a list in">
      <div className="grid items-start gap-4 lg:grid-cols-[3fr_2fr]">
        <Loaded query={lists}>{(all) => <Reading lists={all} />}</Loaded>
        <TakenLists />
      </div>
    </Page>
  )
})

function Reading({ lists }: { lists: List[] }) {
  const [name, setName] = useState<string>('')
  const [file, setFile] = useState<File>()
  const list = lists.find((l) => l.name === name)
  return (
    <Section title="A table of yours">
      <p>
        What you kept in a spreadsheet until now, saved there as CSV: one line of headings, then a line for
        each. First you see what would come; each line is held to the same rules as its form.
      </p>
      <div className="my-3 space-y-3">
        <Choose
          label="What it holds"
          value={name}
          choices={lists.map((l) => ({ value: l.name, label: l.words }))}
          onChange={(next) => {
            setName(next)
            setFile(undefined)
          }}
        />
        {list && <Columns list={list} />}
        {list && (
          <FileInput
            label={
              list.name === 'stands'
                ? 'The table (.csv), or a map (.gpx, .kml, .geojson)'
                : 'The table (.csv)'
            }
            accept={`.csv,.txt,.tsv,text/csv${list.name === 'stands' ? ',.gpx,.kml,.geojson,.json' : ''}`}
            onFile={setFile}
          />
        )}
      </div>
      {list && file && (
        <Table
          key={`${list.name} ${file.name} ${file.lastModified} ${file.size}`}
          list={list}
          file={file}
          onLeave={() => setFile(undefined)}
        />
      )}
    </Section>
  )
}

/** What may stand in it, so that nobody has to guess the headings. */
function Columns({ list }: { list: List }) {
  const words = (c: List['columns'][number]) =>
    c.words +
    (c.unit && !c.words.includes('grams') && !c.words.includes('millilitres') ? ` (${c.unit})` : '') +
    (c.choices.length > 0 && c.choices.length < 9 ? `: ${c.choices.join(', ')}` : '')
  const wanted = list.columns.filter((c) => c.wanted)
  const other = list.columns.filter((c) => !c.wanted)
  return (
    <div className="text-sm">
      {list.hint && <p className="mb-2">{list.hint}</p>}
      <p>
        <span className="font-medium">It needs columns for </span>
        {wanted.map(words).join('; ')}.
      </p>
      {other.length > 0 && (
        <p>
          <span className="font-medium">It may have </span>
          {other.map(words).join('; ')}.
        </p>
      )}
      <p className="text-soft">
        In any order; other columns are left out. A unit may stand in the heading or in the field, such as kg,
        oz, L or ft.
      </p>
    </div>
  )
}
