-- Units hold things side by side and on one another too: a program that does not know that must not write here.
SELECT 1;
