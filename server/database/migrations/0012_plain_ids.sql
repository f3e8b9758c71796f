-- Walls whose ids cannot stand in an address get ids of their names: carryOver/plainIds.ts
SELECT 1;
