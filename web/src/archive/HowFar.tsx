import { useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { api, ask, type Schemas } from '../api/client'
import { useCommand } from '../ui/command'
import { Button } from '../ui/controls'

const ASKED_EVERY_MS = 700
/** What is done sooner is not worth a line that comes and goes. */
const SHORT_MS = 400

const STEP: Record<Schemas['ProgressView']['step'], string> = {
  READING: 'Reading',
  COMPARING: 'Holding it against what is here',
  TAKING_IN: 'Taking in',
  JUDGING: 'Checking what came',
}

/** How far long work has come, and the end of it. Shown while it runs. */
export function HowFar({ onStop }: { onStop?: () => void }) {
  const progress = useQuery({
    queryKey: ['archive', 'progress'],
    queryFn: () => ask(api.GET('/api/archive/progress')),
    refetchInterval: ASKED_EVERY_MS,
    gcTime: 0,
  })
  const stop = useCommand([], {
    mutationFn: () => ask(api.DELETE('/api/archive/progress')),
  })
  const [long, setLong] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setLong(true), SHORT_MS)
    return () => clearTimeout(timer)
  }, [])
  const now = progress.data?.[0]
  if (!long) return null
  return (
    <div className="flex flex-wrap items-center gap-3">
      <p role="status" className="sr-only">
        {now ? STEP[now.step] : 'Sending it'}
      </p>
      <label className="min-w-0 grow">
        <span aria-hidden="true">
          {now ? STEP[now.step] : 'Sending it'}
          {now && now.of > 1 && <span className="figures">{`: ${now.done} of ${now.of}`}</span>}
        </span>
        <progress
          aria-label="How far it is"
          className="[&::-moz-progress-bar]:bg-water [&::-webkit-progress-bar]:bg-line [&::-webkit-progress-value]:bg-water bg-line block h-2 w-full appearance-none border-0"
          max={now?.of || 1}
          value={now?.done}
        />
      </label>
      <Button
        disabled={stop.isPending || stop.isSuccess}
        onClick={() => {
          stop.mutate()
          onStop?.()
        }}
      >
        Stop
      </Button>
    </div>
  )
}
