# frozen_string_literal: true

require "json"
require_relative "../core/work"
require_relative "problem"

module NutShelf
  module Api
    # Answers that get better as they come, a line of JSON each. What goes wrong on the way is the last line.
    module Lines
      # Where a line goes; it knows when nobody listens any more.
      class Out
        # @param stream [#<<]
        def initialize(stream)
          @stream = stream
          @gone = false
        end

        # @return [Boolean] whether whoever asked went away
        def gone? = @gone

        # @param answer [Hash]
        def <<(answer)
          @stream << "#{JSON.generate(answer)}\n" unless @gone
          self
        rescue IOError, SystemCallError
          @gone = true
          self
        end
      end

      # @yieldparam [Out]
      def lines
        content_type "application/x-ndjson"
        headers "cache-control" => "no-store", "x-accel-buffering" => "no"
        stream do |stream|
          out = Out.new(stream)
          yield out
        rescue Core::Work::Undone => e
          out << Problem.from(e).last
        end
      end
    end
  end
end
