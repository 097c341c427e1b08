import { configure } from '@testing-library/react';

// Generous: tests run beside each other on slow shared cores. What is hidden is found too: whether
// an element is hidden takes longer to say than all else of a query.
configure({ asyncUtilTimeout: 20_000, defaultHidden: true });
