# frozen_string_literal: true

require_relative "errors"

module NutShelf
  module Desk
    # How long something may keep a worker busy.
    class Deadline
      # @param seconds [Numeric]
      def initialize(seconds)
        @ends = now + seconds
      end

      # @raise [Invalid] once the time is over
      def check
        return if now < @ends

        raise Invalid.new("Reading that takes too long.", code: "too_large", remedy: "Bring it in in parts.")
      end

      private

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    end
  end
end
