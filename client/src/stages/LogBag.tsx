/** From any screen of a job a bag is two taps away: this one, and what is in it. */
import { router } from 'expo-router';
import { Button } from '../kit';

export const LogBag = ({ jobId }: { readonly jobId: string }) => (
  <Button look="quiet" flush label="Log a bag" testID="log-bag" onPress={() => router.navigate(`/bags/${jobId}`)} />
);
