# frozen_string_literal: true

require_relative "../boot/cluster"

# Starts or stops our own server for a run of the specs; prints "started" when this call started it.
exit if NutShelf::Boot::Settings.foreign_url
cluster = NutShelf::Boot::Cluster.new
ARGV.first == "stop" ? cluster.stop : print(cluster.start ? "started" : "running")
