/** How the material goes round, as a term file writes it. */
export { Approach as APPROACHES } from '../../api/enums';
