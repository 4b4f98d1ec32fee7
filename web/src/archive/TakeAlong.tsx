import { useState } from 'react'
import { isoToday } from '../ui/clock'
import { Choose } from '../ui/Choose'
import { Section } from '../ui/page'
import { OnPaper } from '../ui/Sheet'

/** Everything in one file. */
export function TakeAlong() {
  return (
    <Section title="Take it along">
      <p>
        Everything in one file: stands, looks, harvests, jars, batches, courses, doses, notes and their
        pictures, as open text that other programs read too.
      </p>
      <p className="my-3">
        <a className="text-note font-semibold underline" href="/api/archive/file" download>
          All records as one file
        </a>
      </p>
      <p className="text-soft text-sm">
        It says who is ill and who takes what, and it is not locked: keep it where you keep such letters.
        Passwords are not in it.
      </p>
    </Section>
  )
}

const YEARS = 12

/** To be read on a winter evening, and to be kept when this is long gone. */
export function Book() {
  const now = Number(isoToday().slice(0, 4))
  const [year, setYear] = useState(String(now))
  const years = Array.from({ length: YEARS }, (_, i) => String(now - i))
  return (
    <Section title="The book of a year">
      <p>What was gathered, made, taken and written down in it, day by day, with its pictures.</p>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <div className="w-32">
          <Choose
            label="Year"
            value={year}
            choices={years.map((y) => ({ value: y, label: y }))}
            onChange={setYear}
          />
        </div>
        <OnPaper href={`/api/archive/book.pdf?year=${year}`}>As a book (PDF)</OnPaper>
      </div>
    </Section>
  )
}
