/** What an entry bears on: its bag's water, feeding, growth and jobs, money and stock, or what is planned. */
export type Effect = 'water' | 'feeding' | 'growth' | 'jobs' | 'money' | 'plan';
