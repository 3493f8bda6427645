# frozen_string_literal: true

require "date"
require_relative "../core/value"
require_relative "errors"
require_relative "refusal"

module NutShelf
  module Desk
    # What a device writes on a letter: which device, its running number (milliseconds of its clock, never the same
    # twice), the day it happened in the household, and whether the letter had to wait. Frozen.
    Envelope =
      Core::Value.of(:device, :sequence, :on, held: false) do
        const_set(:DEVICE, /\A[a-z0-9]{8,40}\z/)
        const_set(:SEQUENCE, /\A[1-9]\d{0,15}\z/)
        # As long as answers are kept to tell a letter sent twice.
        const_set(:DAYS, 30)

        # @param device [String, nil]
        # @param sequence [String, nil] decimal digits
        # @param on [String, nil] an ISO day
        # @param held [String, nil] "yes" when it waited for the house to answer
        # @return [Envelope]
        # @raise [Invalid] when one of them cannot be read
        def self.read(device: nil, sequence: nil, on: nil, held: nil)
          return self::NONE if [device, sequence, on].all?(&:nil?)
          if device.to_s.match?(self::DEVICE) && sequence.to_s.match?(self::SEQUENCE)
            return new(device: device, sequence: Integer(sequence, 10), on: Date.iso8601(on), held: held == "yes")
          end

          unreadable
        rescue Date::Error, TypeError
          unreadable
        end

        # @raise [Invalid] what the device wrote is no envelope
        def self.unreadable
          raise(Refusal.of(:envelope_torn))
        end

        # The order of acts within a day. A clock that runs ahead does not reach past those that come after it.
        # @param now [Integer] milliseconds
        # @return [Integer]
        def order(now) = sequence ? [sequence, now].min : now

        # The day the act counts for.
        # @param today [Date] the household's
        # @return [Date]
        # @raise [Invalid] for a day that has not come, or one too long ago to be sent later
        def day(today)
          return today if on.nil? || on == today || !held
          raise Refusal.of(:device_clock_ahead, day: on) if on > today
          return on if on >= today - self.class::DAYS

          raise Refusal.of(:too_long_ago, day: on)
        end
      end
    Envelope::NONE = Envelope.new
  end
end
