# frozen_string_literal: true

require_relative "cluster"

module NutShelf
  module Boot
    # Starts our PostgreSQL again when it died: a full disk that was cleared, a power cut, signal 9.
    class Watch
      EVERY = 5

      # @param cluster [Cluster] that this process started
      # @param pause [#call] waits so many seconds
      # @param say [#call] tells whoever runs the house
      def initialize(cluster, pause: ->(seconds) { sleep(seconds) }, say: ->(text) { warn(text) })
        @cluster = cluster
        @pause = pause
        @say = say
      end

      def run
        loop do
          @pause.call(EVERY)
          look
        end
      end

      # @return [Boolean] whether it had to be started
      def look
        return false if @cluster.running?

        @cluster.start
        @say.call("The database had stopped and was started again.")
        true
      rescue Cluster::Failed, SystemCallError => e
        @say.call("The database has stopped and does not start: #{e.message.lines.first.to_s.strip}")
        false
      end
    end
  end
end
