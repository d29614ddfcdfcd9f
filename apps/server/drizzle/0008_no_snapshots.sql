DROP TABLE `snapshots`;
