import { Navigate, useParams } from 'react-router';
import { behind, labelled } from '../../../lib/label-code';
import { NoSuchPage } from '../../../ui/states';

/** Where the code of a label leads: the plant, or a walk along its bed; also without a connection. */
export function LabelOpened() {
  const { code = '' } = useParams();
  const label = labelled(code);
  return label ? <Navigate replace to={behind(label)} /> : <NoSuchPage />;
}
