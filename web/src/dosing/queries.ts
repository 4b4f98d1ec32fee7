import { useQuery } from '@tanstack/react-query'
import { api, ask } from '../api/client'

export const useCourses = () =>
  useQuery({ queryKey: ['courses'], queryFn: () => ask(api.GET('/api/dosing/courses')) })

export const useCourse = (id: string) =>
  useQuery({
    queryKey: ['courses', id],
    queryFn: () => ask(api.GET('/api/dosing/courses/{id}', { params: { path: { id } } })),
  })
