import { useQuery } from '@tanstack/react-query';
import { keepPreviousData } from '@tanstack/react-query';
import { askCuts, type CutQuestion } from './cutWork';

/** The plan for what is wanted; asked anew when anything of it changes. */
export function useCutPlan(question: CutQuestion) {
  return useQuery({
    queryKey: ['cuts', question],
    queryFn: () => askCuts(question),
    enabled: question.panels.length > 0,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    networkMode: 'always',
  });
}
