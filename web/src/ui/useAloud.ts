import { useEffect, useSyncExternalStore } from 'react'

/** A voice of the device itself: one that asks the network is silent where it is wanted, and tells others what is cooked. */
const own = () =>
  'speechSynthesis' in window
    ? speechSynthesis.getVoices().find((v) => v.localService && v.lang.toLowerCase().startsWith('en'))
    : undefined

const whenVoicesCome = (tell: () => void) => {
  if (!('speechSynthesis' in window)) return () => undefined
  speechSynthesis.addEventListener('voiceschanged', tell)
  return () => speechSynthesis.removeEventListener('voiceschanged', tell)
}

/** Whether there is a voice to read with; browsers find theirs a moment after the page is there. */
export const useHasVoice = () => useSyncExternalStore(whenVoicesCome, () => own() !== undefined)

/** Reads the words while it is on, and anew whenever they change. */
export function useAloud(words: string, on: boolean) {
  useEffect(() => {
    const voice = own()
    if (!on || !voice || !words) return
    const said = new SpeechSynthesisUtterance(words)
    said.voice = voice
    said.lang = voice.lang
    speechSynthesis.cancel()
    speechSynthesis.speak(said)
    return () => speechSynthesis.cancel()
  }, [words, on])
}
