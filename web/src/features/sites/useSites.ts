import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../../api/client';

export function useSites() {
  return useQuery({ queryKey: ['sites'], queryFn: () => answer(api.GET('/api/sites')) });
}
