import { useCallback } from 'react';
import { useNavigate, useParams } from 'react-router';

/**
 * Goes to a place of the open project by its path; `''` is the bench. The address is the whole one: while a place is on its
 * way, the one before still hears keys, and what is pressed twice goes there once.
 */
export function useGoTo(): (place: '' | 'try' | 'wall' | 'data' | 'code' | 'theme', search?: string) => void {
  const { id = '' } = useParams();
  const navigate = useNavigate();
  return useCallback(
    (place, search = '') => {
      const address = place === '' ? `/projects/${id}` : `/projects/${id}/${place}`;
      if (window.location.pathname !== address) void navigate(`${address}${search}`);
    },
    [navigate, id],
  );
}
