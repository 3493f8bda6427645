# frozen_string_literal: true

require "socket"
require_relative "../core/work"
require_relative "workers/frames"
require_relative "workers/nursery"
require_relative "workers/worker"

module NutShelf
  module Boot
    # Long computing in processes of its own, so that it takes no web process's turn. Read this first, then Nursery
    # (where workers come from), Worker (one of them) and Frames (how they are spoken to). Safe for threads.
    class Workers
      # @param door [String] of a Nursery
      # @param most [Integer] workers this process may have at once
      # @param queue [Integer] jobs that may wait for one
      def initialize(door, most: 1, queue: 4)
        @door = door
        @most = most
        @queue = queue
        @lock = Mutex.new
        @free = ConditionVariable.new
        @idle = []
        @out = 0
        @waiting = 0
      end

      # @return [Boolean] asking takes nothing from whoever asks
      def elsewhere? = true

      # @param job [#call] a frozen value, see Core::Work
      # @param shared [Core::Work::Shared]
      # @param seconds [Float] from now to the last answer
      # @param cancel [#call, nil] asked now and again whether to stop
      # @yieldparam [Object] answers that get better, as they come
      # @return [Object] the last answer
      # @raise [Core::Work::Undone] Busy, Gone, TimedOut, Cancelled or Failed
      def ask(job, shared, seconds: 10.0, cancel: nil, &partial)
        deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + seconds
        hand = take(deadline)
        begin
          answer = hand.ask(job, shared, deadline, cancel, &partial)
          sound = true
          answer
        ensure
          give_back(hand, sound: sound)
        end
      end

      # Lets go of those that are at rest.
      def close = @lock.synchronize { @idle.each(&:end_it).clear }

      private

      # The one that rests, a new one while there may be more, or the next that comes back.
      def take(deadline)
        hand = @lock.synchronize do
          wait(deadline) while @idle.empty? && @out >= @most
          @out += 1
          @idle.pop
        end
        hand || Hand.new(@door)
      rescue SystemCallError, EOFError => e
        @lock.synchronize { @out -= 1 }
        raise Core::Work::Gone, "No worker came: #{e.message}"
      end

      def wait(deadline)
        raise Core::Work::Busy, "Enough is waiting already." if @waiting >= @queue

        left = deadline - Process.clock_gettime(Process::CLOCK_MONOTONIC)
        raise Core::Work::Busy, "Nobody was free in time." if left <= 0

        @waiting += 1
        begin
          @free.wait(@lock, left)
        ensure
          @waiting -= 1
        end
      end

      # One that was interrupted is in no state to be asked again.
      def give_back(hand, sound:)
        hand.end_it unless sound || hand.sound?
        @lock.synchronize do
          @out -= 1
          @idle << hand if sound || hand.sound?
          @free.signal
        end
      end

      # This side of the line to one worker.
      class Hand
        # @param door [String]
        # @raise [SystemCallError, EOFError] when nobody opens
        def initialize(door)
          @line = UNIXSocket.new(door)
          _, @pid = Frames.read(@line, deadline: Process.clock_gettime(Process::CLOCK_MONOTONIC) + 5)
          @keys = []
          @sound = true
        end

        attr_reader :pid

        # @return [Boolean] whether it waits for the next job
        def sound? = @sound

        # @return [Object] the last answer
        # @raise [Core::Work::Undone]
        def ask(job, shared, deadline, cancel)
          @sound = false
          send_job(job, shared)
          loop do
            kind, value = Frames.read(@line, deadline: deadline) { cancel&.call }
            next yield(value) if kind == :part && block_given?
            next if kind == :part

            @sound = true
            return value if kind == :done

            raise Core::Work::Failed, value
          end
        rescue EOFError, Errno::EPIPE, Errno::ECONNRESET
          raise Core::Work::Gone, "The worker died."
        end

        # Whatever it is doing, it stops.
        def end_it
          @line.close
          Process.kill(:KILL, @pid) unless @sound
        rescue Errno::ESRCH
          nil
        end

        private

        # The last few it was given it still has.
        def send_job(job, shared)
          known = @keys.include?(shared.key)
          @keys << shared.key unless known
          @keys.shift while @keys.size > Worker::KEEPS
          Frames.write(@line, [job, shared.key, known ? nil : shared.value])
        end
      end
      private_constant :Hand
    end
  end
end
