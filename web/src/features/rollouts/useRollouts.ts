import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../../api/client';

export function useRollouts() {
  return useQuery({ queryKey: ['rollouts'], queryFn: () => answer(api.GET('/api/rollouts')) });
}
